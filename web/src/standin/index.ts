export { StandIn } from './StandIn'

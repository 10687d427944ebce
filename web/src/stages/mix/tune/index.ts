export { TuneView } from './TuneView'

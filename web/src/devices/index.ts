export { type DeviceAdapter, type DeviceListener, ProbeReadings, ScaleReading } from './adapter'
export { standIn, type StandInCommand, tellStandIn } from './standIn'

export { CounterDay } from './CounterDay'

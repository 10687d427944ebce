import { expose } from 'comlink'
import { JOBS } from './jobs'

expose(JOBS)

export { SeriesView } from './SeriesView'

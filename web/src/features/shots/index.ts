export { ShotsPage } from './ShotsPage'

export { JobsPage } from './JobsPage'

export { CablingPage } from './CablingPage'

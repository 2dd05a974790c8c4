export { KitPage } from './KitPage'

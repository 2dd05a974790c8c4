export { SumsDrawer } from './SumsDrawer'

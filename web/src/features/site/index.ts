export { SitePage } from './SitePage'

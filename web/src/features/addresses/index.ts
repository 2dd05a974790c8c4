export { AddressesPage } from './AddressesPage'

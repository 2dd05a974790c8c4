export { AccountMenu } from './AccountMenu'
export { InvitationPage } from './InvitationPage'
export { PeoplePage } from './PeoplePage'

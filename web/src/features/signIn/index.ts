export { SignInPage } from './SignInPage'
export { useSession } from './useSession'

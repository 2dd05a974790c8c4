import { lazy } from 'react'

// Each stage is a file of its own, read when somebody goes there; so are the sums.
export const AddressesPage = lazy(async () => ({
  default: (await import('../features/addresses')).AddressesPage,
}))
export const BringUpPage = lazy(async () => ({ default: (await import('../features/bringUp')).BringUpPage }))
export const CablingPage = lazy(async () => ({ default: (await import('../features/cabling')).CablingPage }))
export const DeskPage = lazy(async () => ({ default: (await import('../features/desk')).DeskPage }))
export const KitPage = lazy(async () => ({ default: (await import('../features/kit')).KitPage }))
export const LineUpPage = lazy(async () => ({ default: (await import('../features/lineUp')).LineUpPage }))
export const LogbookPage = lazy(async () => ({ default: (await import('../features/logbook')).LogbookPage }))
export const PaintPage = lazy(async () => ({ default: (await import('../features/told')).PaintPage }))
export const PeoplePage = lazy(async () => ({ default: (await import('../features/people')).PeoplePage }))
export const ProvePage = lazy(async () => ({ default: (await import('../features/prove')).ProvePage }))
export const ShotsPage = lazy(async () => ({ default: (await import('../features/shots')).ShotsPage }))
export const SitePage = lazy(async () => ({ default: (await import('../features/site')).SitePage }))
export const SumsDrawer = lazy(async () => ({ default: (await import('../features/sums')).SumsDrawer }))
export const WireLogPage = lazy(async () => ({ default: (await import('../features/wireLog')).WireLogPage }))

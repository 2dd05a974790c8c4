import { lazy } from 'react'

// Each stage is a file of its own, read when somebody goes there; so are the sums.
const files = {
  '': () => import('../features/lineUp'),
  site: () => import('../features/site'),
  kit: () => import('../features/kit'),
  cabling: () => import('../features/cabling'),
  addresses: () => import('../features/addresses'),
  'bring-up': () => import('../features/bringUp'),
  desk: () => import('../features/desk'),
  shots: () => import('../features/shots'),
  paint: () => import('../features/told'),
  prove: () => import('../features/prove'),
  wire: () => import('../features/wireLog'),
  logbook: () => import('../features/logbook'),
  people: () => import('../features/people'),
}

/** Begins to read the page at an address of a job, beside the job itself; what fails is read again there. */
export function readAhead(address: string): void {
  const stage = /^\/jobs\/\d+\/?([^/]*)/.exec(address)?.[1]
  if (stage !== undefined && Object.hasOwn(files, stage))
    files[stage as keyof typeof files]().catch(() => undefined)
}

export const LineUpPage = lazy(async () => ({ default: (await files['']()).LineUpPage }))
export const SitePage = lazy(async () => ({ default: (await files.site()).SitePage }))
export const KitPage = lazy(async () => ({ default: (await files.kit()).KitPage }))
export const CablingPage = lazy(async () => ({ default: (await files.cabling()).CablingPage }))
export const AddressesPage = lazy(async () => ({ default: (await files.addresses()).AddressesPage }))
export const BringUpPage = lazy(async () => ({ default: (await files['bring-up']()).BringUpPage }))
export const DeskPage = lazy(async () => ({ default: (await files.desk()).DeskPage }))
export const ShotsPage = lazy(async () => ({ default: (await files.shots()).ShotsPage }))
export const PaintPage = lazy(async () => ({ default: (await files.paint()).PaintPage }))
export const ProvePage = lazy(async () => ({ default: (await files.prove()).ProvePage }))
export const WireLogPage = lazy(async () => ({ default: (await files.wire()).WireLogPage }))
export const LogbookPage = lazy(async () => ({ default: (await files.logbook()).LogbookPage }))
export const PeoplePage = lazy(async () => ({ default: (await files.people()).PeoplePage }))
export const SumsDrawer = lazy(async () => ({ default: (await import('../features/sums')).SumsDrawer }))

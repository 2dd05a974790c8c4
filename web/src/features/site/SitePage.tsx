import { about } from '../../shared/api/about'
import type { Job } from '../../shared/api/types'
import { Page } from '../../shared/ui/Page'
import { Habits } from './Habits'
import { HouseRanges } from './HouseRanges'
import { Networks } from './Networks'
import { PasteNeighbours } from './PasteNeighbours'
import { PracticeList } from './PracticeList'

/** The house: its networks, what is not ours to give out, and how things are done here. */
export function SitePage({ job }: { readonly job: Job }) {
  return (
    <Page title="Site" job={job} findings={about(job.findings, ['addresses', 'house', 'names'])}>
      <Networks job={job} />
      <HouseRanges job={job} />
      <PasteNeighbours job={job} />
      <Habits job={job} />
      <PracticeList job={job} />
    </Page>
  )
}

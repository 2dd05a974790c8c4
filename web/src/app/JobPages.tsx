import Box from '@mui/material/Box'
import { Suspense, useState } from 'react'
import { Route, Routes, useLocation, useParams } from 'react-router'
import { sentence } from '../shared/api/client'
import { useJob } from '../shared/api/job'
import { useLive } from '../shared/api/useLive'
import { useOutboxSender } from '../shared/api/useOutboxSender'
import { Trouble } from '../shared/ui/Trouble'
import { useTitle } from '../shared/ui/useTitle'
import { BottomLine } from './BottomLine'
import { JumpBox } from './JumpBox'
import { ProveAgainDialog } from './ProveAgainDialog'
import {
  AddressesPage,
  BringUpPage,
  CablingPage,
  DeskPage,
  KitPage,
  LineUpPage,
  LogbookPage,
  PaintPage,
  PeoplePage,
  ProvePage,
  ShotsPage,
  SitePage,
  WireLogPage,
} from './pages'
import { always, stagesOf } from './stages'
import type { Look } from './theme'
import { TopBar } from './TopBar'
import { Trail } from './Trail'

interface Props {
  readonly look: Look
  readonly onLook: () => void
}

/** The frame of one job: top, trail, the page with its margin, bottom line. */
export function JobPages({ look, onLook }: Props) {
  const id = Number(useParams().job)
  const query = useJob(id)
  const [trouble, setTrouble] = useState<unknown>()
  const job = query.data
  const path = useLocation().pathname.split('/')[3] ?? ''
  const page = job && [...stagesOf(job), ...always].find((s) => s.path === path)?.name
  const { lost } = useLive(id, page ?? 'Line-up')
  useOutboxSender(id)
  useTitle(page ?? 'Job', job?.name)
  return (
    <Box sx={{ height: '100vh', display: 'flex', flexDirection: 'column' }}>
      <TopBar {...(job ? { job } : {})} look={look} onLook={onLook} onTrouble={setTrouble} />
      <Box sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: { xs: 'column', sm: 'row' } }}>
        {job && <Trail job={job} />}
        {job && (
          <Suspense fallback={null}>
            <Routes>
              <Route index element={<LineUpPage job={job} />} />
              <Route path="site" element={<SitePage job={job} />} />
              <Route path="kit" element={<KitPage job={job} />} />
              <Route path="cabling" element={<CablingPage job={job} />} />
              <Route path="addresses" element={<AddressesPage job={job} />} />
              <Route path="bring-up" element={<BringUpPage job={job} />} />
              <Route path="desk" element={<DeskPage job={job} />} />
              <Route path="shots" element={<ShotsPage job={job} />} />
              <Route path="paint" element={<PaintPage job={job} />} />
              <Route path="prove" element={<ProvePage job={job} />} />
              <Route path="wire" element={<WireLogPage job={job} />} />
              <Route path="logbook" element={<LogbookPage job={job} />} />
              <Route path="people" element={<PeoplePage job={job} />} />
              <Route
                path="*"
                element={<Box sx={{ p: 3 }}>There is no such page. The trail on the left has them all.</Box>}
              />
            </Routes>
          </Suspense>
        )}
        {!job && query.error && (
          <Box sx={{ p: 3 }}>
            <Trouble>{sentence(query.error)}</Trouble>
          </Box>
        )}
      </Box>
      {job && <JumpBox job={job} />}
      <ProveAgainDialog />
      <BottomLine
        {...(job ? { job } : {})}
        trouble={trouble ?? (job ? undefined : query.error)}
        lost={lost}
        onSeen={() => setTrouble(undefined)}
      />
    </Box>
  )
}

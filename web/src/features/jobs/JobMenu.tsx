import Button from '@mui/material/Button'
import Menu from '@mui/material/Menu'
import MenuItem from '@mui/material/MenuItem'
import { useState } from 'react'
import type { ReactNode } from 'react'
import type { JobSummary } from '../../shared/api/types'

interface Props {
  readonly job: JobSummary
  readonly onRename: () => void
  readonly onDuplicate: () => void
  readonly onArchive: (archived: boolean) => void
  readonly onDelete: () => void
}

/** What can be done with a job as a whole. */
export function JobMenu({ job, onRename, onDuplicate, onArchive, onDelete }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null)
  const close = () => setAnchor(null)
  const lead = job.role === 'lead'
  const then = (act: () => void) => () => {
    close()
    act()
  }
  const entry = (words: string, act: () => void, allowed = true): ReactNode =>
    allowed && (
      <MenuItem key={words} onClick={then(act)}>
        {words}
      </MenuItem>
    )
  return (
    <>
      <Button
        size="small"
        aria-haspopup="menu"
        aria-label={`More for ${job.name}`}
        onClick={(e) => setAnchor(e.currentTarget)}
      >
        More
      </Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={close}>
        {entry('Rename …', onRename, lead || job.role === 'technician')}
        {entry('Duplicate', onDuplicate)}
        <MenuItem component="a" href={`/api/jobs/${job.id}/file`} download onClick={close}>
          Export as a file
        </MenuItem>
        {entry(job.archived ? 'Fetch from the archive' : 'Archive', () => onArchive(!job.archived), lead)}
        {entry('Delete', onDelete, lead)}
      </Menu>
    </>
  )
}

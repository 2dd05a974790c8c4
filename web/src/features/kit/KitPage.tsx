import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Tab from '@mui/material/Tab'
import Tabs from '@mui/material/Tabs'
import { useEffect, useState } from 'react'
import { about } from '../../shared/api/about'
import { rights } from '../../shared/api/changes'
import type { Job } from '../../shared/api/types'
import { Page } from '../../shared/ui/Page'
import { typing, useKeys } from '../../shared/ui/keys'
import { BeforeTheVan } from './BeforeTheVan'
import { KitTable } from './KitTable'
import { MountTable } from './MountTable'
import { PasteSheet } from './PasteSheet'
import { ProfileDrawer } from './ProfileDrawer'
import { ProfileDialog } from './ProfileDialog'
import { Shelf } from './Shelf'

const HERE = ['kit', 'preparation', 'power', 'video', 'names', 'control', 'lens', 'mount'] as const

type Tabbed = 'devices' | 'mounts' | 'van'

/** The kit: a shelf to add from, the devices that are on the van, and what to do before it leaves. */
export function KitPage({ job }: { readonly job: Job }) {
  const [tab, setTab] = useState<Tabbed>('devices')
  const [facts, setFacts] = useState<string>()
  const [pasted, setPasted] = useState<string>()
  const [importing, setImporting] = useState(false)
  const may = rights(job).plan
  useKeys((e) => {
    if (e.key !== '/' || typing(e.target)) return
    document.getElementById('how-many')?.focus()
    e.preventDefault()
  })
  usePaste(may && tab === 'devices' && pasted === undefined, setPasted)
  return (
    <Page
      title="Kit"
      job={job}
      findings={about(job.findings, HERE)}
      folded
      fills
      keys={[
        ['/', 'goes to the shelf'],
        ['6 ceiling ptz, Enter', 'adds six of what is marked on the shelf'],
        ['Ctrl+V', 'reads a list from a spreadsheet'],
        ['Shift on a tick', 'ticks everything between'],
      ]}
      actions={
        may && (
          <Button variant="outlined" onClick={() => setPasted('')}>
            Paste or open a list …
          </Button>
        )
      }
    >
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', md: '208px minmax(0, 1fr)' },
          gap: 2,
          flex: 1,
          minHeight: 0,
        }}
      >
        <Shelf job={job} onFacts={setFacts} onImport={() => setImporting(true)} />
        <Box sx={{ display: 'flex', flexDirection: 'column', minHeight: 0 }}>
          <Tabs value={tab} onChange={(_, next: Tabbed) => setTab(next)} sx={{ minHeight: 40 }}>
            <Tab value="devices" label={`On the van: ${job.devices.length}`} sx={{ textTransform: 'none' }} />
            <Tab value="mounts" label="Mount and balance" sx={{ textTransform: 'none' }} />
            <Tab value="van" label="Before the van leaves" sx={{ textTransform: 'none' }} />
          </Tabs>
          {tab === 'devices' && <KitTable job={job} onFacts={setFacts} />}
          {tab === 'mounts' && <MountTable job={job} />}
          {tab === 'van' && <BeforeTheVan job={job} />}
        </Box>
      </Box>
      {facts !== undefined && <ProfileDrawer job={job} profile={facts} onClose={() => setFacts(undefined)} />}
      {pasted !== undefined && <PasteSheet job={job} text={pasted} onClose={() => setPasted(undefined)} />}
      {importing && <ProfileDialog job={job} onClose={() => setImporting(false)} />}
    </Page>
  )
}

/** What is pasted anywhere on the page, but not into a field. */
function usePaste(on: boolean, take: (text: string) => void) {
  useEffect(() => {
    if (!on) return
    const onPaste = (e: ClipboardEvent) => {
      const into = e.target as HTMLElement
      if (into.closest('input, textarea, [role=dialog]')) return
      const text = e.clipboardData?.getData('text/plain') ?? ''
      if (text.trim() !== '') take(text)
    }
    document.addEventListener('paste', onPaste)
    return () => document.removeEventListener('paste', onPaste)
  }, [on, take])
}

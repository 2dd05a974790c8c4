import Box from '@mui/material/Box'
import { useQuery } from '@tanstack/react-query'
import { get, sentence } from '../../shared/api/client'
import type { PinTable } from '../../shared/api/types'
import type { Column } from '../../shared/ui/SheetTable'
import { SheetTable } from '../../shared/ui/SheetTable'
import { Trouble } from '../../shared/ui/Trouble'

/** The usual leads pin to pin, to make one or to check it with a meter. */
export function LeadTables() {
  const leads = useQuery({ queryKey: ['leads'], queryFn: () => get<PinTable[]>('/api/leads') })
  if (leads.error) return <Trouble>{sentence(leads.error)}</Trouble>
  return (
    <Box sx={{ overflow: 'auto', flex: 1, minHeight: 240 }} tabIndex={0}>
      <Box component="p" sx={{ mt: 0 }}>
        Buzz every wire through before it goes up. Profiles name the lead colours of each device: they differ.
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(330px, 1fr))', gap: 3 }}>
        {leads.data?.map((lead) => (
          <Lead key={lead.id} lead={lead} />
        ))}
      </Box>
    </Box>
  )
}

type Wire = PinTable['wires'][number]

function Lead({ lead }: { readonly lead: PinTable }) {
  const columns: readonly Column<Wire>[] = [
    { title: lead.one, mono: true, cell: (w) => w.one },
    { title: 'Signal', cell: (w) => w.signal || '–' },
    {
      title: lead.one === lead.other ? `${lead.other}, far end` : lead.other,
      mono: true,
      cell: (w) => w.other,
    },
    { title: 'Colour', cell: (w) => w.colour || '–' },
  ]
  return (
    <section aria-label={lead.name}>
      <Box component="h2" sx={{ typography: 'h2', mt: 0, mb: 0.5 }}>
        {lead.name}
      </Box>
      <SheetTable
        label={lead.name}
        columns={columns}
        rows={lead.wires}
        rowKey={(w) => w.one}
        rowLabel={(w) => w.one}
      />
    </section>
  )
}

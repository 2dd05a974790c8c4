import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Drawer from '@mui/material/Drawer'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Refused, post, sentence } from '../../shared/api/client'
import { CopyValue } from '../../shared/ui/CopyValue'
import { Plot } from './Plot'
import { SUMS, bodyOf, shown } from './sums'
import type { Sum } from './sums'

/** The calculators alone, without a job. */
export function SumsDrawer({ onClose }: { readonly onClose: () => void }) {
  const [name, setName] = useState('poe-run')
  const sum = SUMS.find((s) => s.name === name)
  return (
    <Drawer anchor="right" open onClose={onClose} slotProps={{ paper: { 'aria-label': 'Sums' } }}>
      <Box sx={{ width: { xs: '100vw', sm: 560 }, p: 2.5 }}>
        <Box sx={{ display: 'flex', alignItems: 'start', gap: 1, mb: 1.5 }}>
          <Box component="h2" sx={{ typography: 'h1', m: 0, flex: 1 }}>
            Sums
          </Box>
          <Button onClick={onClose}>Close</Button>
        </Box>
        <TextField
          select
          fullWidth
          label="Which sum"
          value={name}
          onChange={(e) => setName(e.target.value)}
          sx={{ mb: 2 }}
        >
          {SUMS.map((s) => (
            <MenuItem key={s.name} value={s.name}>
              {s.title}
            </MenuItem>
          ))}
        </TextField>
        {sum && <Calculator key={sum.name} sum={sum} />}
      </Box>
    </Drawer>
  )
}

type Out = Readonly<Record<string, unknown>>

function Calculator({ sum }: { readonly sum: Sum }) {
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({})
  const body = bodyOf(sum, typed)
  const answer = useQuery({
    queryKey: ['sum', sum.name, body],
    queryFn: () => post<Out>(`/api/sums/${sum.name}`, body),
    placeholderData: keepPreviousData,
    retry: false,
    staleTime: Infinity,
  })
  const wrong = answer.error instanceof Refused ? answer.error.body.field : undefined
  return (
    <>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 1.5 }}>
        {sum.fields.map((f) => (
          <TextField
            key={f.key}
            select={f.choices !== undefined}
            label={f.unit ? `${f.words}, ${f.unit}` : f.words}
            value={typed[f.key] ?? f.first}
            onChange={(e) => setTyped({ ...typed, [f.key]: e.target.value })}
            error={wrong === f.key}
            helperText={wrong === f.key ? sentence(answer.error) : undefined}
            slotProps={{ htmlInput: { className: 'mono', spellCheck: false } }}
          >
            {f.choices?.map((c) => (
              <MenuItem key={c} value={c}>
                {c === 'true' ? 'yes' : c === 'false' ? 'no' : c}
              </MenuItem>
            ))}
          </TextField>
        ))}
      </Box>
      <Box component="section" aria-label="Result" sx={{ mt: 2 }}>
        {answer.error && wrong === undefined && <div role="alert">{sentence(answer.error)}</div>}
        {!answer.error && answer.data && <Results sum={sum} out={answer.data} />}
      </Box>
      {sum.curve && !answer.error && <Plot sum={sum} curve={sum.curve} body={body} />}
      <Box sx={{ mt: 2, borderTop: '1px solid', borderColor: 'divider', pt: 1 }}>
        <div className="mono" style={{ fontSize: '0.9rem' }}>
          {sum.formula}
        </div>
        <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>{sum.source}</Box>
      </Box>
    </>
  )
}

function Results({ sum, out }: { readonly sum: Sum; readonly out: Out }) {
  const fits = out.works ?? out.fits ?? out.withinTravel
  return (
    <>
      {typeof fits === 'boolean' && (
        <Box sx={{ fontWeight: 700, fontSize: '1.1rem', color: fits ? 'text.primary' : 'error.main' }}>
          {fits ? '● works' : '▲ does not work'}
        </Box>
      )}
      {sum.results.map((r) => (
        <CopyValue wide key={r.key} label={r.words} value={shown(r, out[r.key])} />
      ))}
    </>
  )
}

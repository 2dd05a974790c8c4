import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { rights } from '../../shared/api/changes'
import { post, sentence } from '../../shared/api/client'
import type { Job, Reading, SayView, ToldView, TryView } from '../../shared/api/types'
import { Trouble } from '../../shared/ui/Trouble'
import type { Grave } from './GraveDialog'
import { GraveDialog } from './GraveDialog'
import { valueWords } from './knobs'
import { useToldViews } from './useTold'

/** Says one knob or verb of a profile to a device that has it: what goes out first, then the answer. */
export function SayIt({ job, devices }: { readonly job: Job; readonly devices: readonly number[] }) {
  const told = useToldViews(job)
  const views = (told.data ?? []).filter((v) => devices.includes(v.device))
  if (views.length === 0) {
    return <p>No device of this job has this profile yet, so there is nobody to say it to.</p>
  }
  return <Saying job={job} views={views} />
}

function Saying({ job, views }: { readonly job: Job; readonly views: readonly ToldView[] }) {
  const [device, setDevice] = useState(views[0]?.device ?? 0)
  const view = views.find((v) => v.device === device) ?? views[0]
  const [name, setName] = useState('')
  const [value, setValue] = useState('')
  const [answer, setAnswer] = useState('')
  const [grave, setGrave] = useState<Grave>()
  const knob = view?.knobs.find((k) => k.name === name)
  const verb = view?.verbs.find((v) => v.name === name)
  const number = knob ? (value === '' ? (knob.neutral ?? knob.least) : Number(value)) : null
  const preview = useQuery({
    queryKey: ['job', job.id, 'say', device, name, number],
    queryFn: () => post<SayView>(`/api/jobs/${job.id}/told/${device}/preview`, { name, value: number }),
    enabled: name !== '',
    retry: false,
    gcTime: 0,
  })
  const send = async (confirmed: boolean) => {
    setAnswer('')
    setGrave(undefined)
    try {
      const path = `/api/jobs/${job.id}/told/${device}`
      if (knob && number !== null) {
        const read = await post<Reading>(`${path}/turn`, { knob: name, value: number, confirmed })
        setAnswer(
          typeof read.value === 'number' ? `It reads ${valueWords(knob, read.value)} now.` : read.trouble,
        )
      } else {
        setAnswer((await post<{ words: string }>(`${path}/tell`, { verb: name, confirmed })).words)
      }
    } catch (e) {
      setAnswer(sentence(e))
    }
  }
  if (!view) return null
  return (
    <Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', my: 1 }}>
        <TextField
          select
          size="small"
          label="To"
          value={view.device}
          onChange={(e) => setDevice(Number(e.target.value))}
          sx={{ minWidth: 100 }}
        >
          {views.map((v) => (
            <MenuItem key={v.device} value={v.device}>
              {v.name}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          size="small"
          label="Knob or verb"
          value={name}
          onChange={(e) => {
            setName(e.target.value)
            setValue('')
            setAnswer('')
          }}
          sx={{ minWidth: 180 }}
        >
          {[...view.knobs, ...view.verbs].map((k) => (
            <MenuItem key={k.name} value={k.name}>
              {k.name}
            </MenuItem>
          ))}
        </TextField>
        {knob && (
          <TextField
            size="small"
            label={`Value, ${knob.least} to ${knob.most}`}
            value={value === '' ? String(number) : value}
            onChange={(e) => setValue(e.target.value)}
            sx={{ width: 150 }}
          />
        )}
      </Box>
      {preview.error && <Trouble>{sentence(preview.error)}</Trouble>}
      {preview.data && (
        <>
          <Box sx={{ color: 'text.secondary' }}>Goes out by {preview.data.in}:</Box>
          <Box className="mono" sx={{ overflowWrap: 'anywhere' }}>
            {preview.data.sent}
          </Box>
          <Button
            variant="outlined"
            sx={{ mt: 1 }}
            disabled={!rights(job).drive || verb?.does === 'moves'}
            onClick={() =>
              preview.data.grave
                ? setGrave({
                    device: view.device,
                    camera: view.name,
                    name,
                    value: number,
                    valueWords: knob && number !== null ? valueWords(knob, number) : '',
                  })
                : void send(false)
            }
          >
            Say it
          </Button>
        </>
      )}
      <Box role="status" sx={{ minHeight: 24, mt: 0.5 }}>
        {answer}
      </Box>
      {grave && (
        <GraveDialog
          job={job}
          grave={grave}
          onTell={() => void send(true)}
          onClose={() => setGrave(undefined)}
        />
      )}
      <TryAnswer job={job} />
    </Box>
  )
}

/** Where a value would be found in an answer that was pasted. */
function TryAnswer({ job }: { readonly job: Job }) {
  const [where, setWhere] = useState('')
  const [answer, setAnswer] = useState('')
  const [said, setSaid] = useState('')
  const tryIt = async () => {
    const pointer = where.startsWith('/')
    try {
      const view = await post<TryView>(`/api/jobs/${job.id}/told/try`, {
        pointer: pointer ? where : '',
        pattern: pointer ? '' : where,
        answer,
      })
      setSaid(view.reason === '' ? `Found: ${view.value}` : view.reason)
    } catch (e) {
      setSaid(sentence(e))
    }
  }
  return (
    <Box component="details" sx={{ mt: 1 }}>
      <summary>Try a pointer or pattern against an answer</summary>
      <Box sx={{ display: 'grid', gap: 1, mt: 1 }}>
        <TextField
          size="small"
          label="JSON pointer (/picture/iris) or pattern (iris=([0-9]+))"
          value={where}
          onChange={(e) => setWhere(e.target.value)}
          slotProps={{ htmlInput: { className: 'mono' } }}
        />
        <TextField
          multiline
          minRows={2}
          label="Answer, pasted"
          value={answer}
          onChange={(e) => setAnswer(e.target.value)}
          slotProps={{ htmlInput: { className: 'mono' } }}
        />
        <Button variant="outlined" disabled={where === ''} onClick={() => void tryIt()}>
          Try it
        </Button>
        <Box role="status" sx={{ minHeight: 24 }}>
          {said}
        </Box>
      </Box>
    </Box>
  )
}

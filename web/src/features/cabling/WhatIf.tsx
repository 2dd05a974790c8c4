import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Slider from '@mui/material/Slider'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useDeferredValue, useState } from 'react'
import { editing, rights } from '../../shared/api/changes'
import { post, sentence } from '../../shared/api/client'
import { useChange } from '../../shared/api/job'
import type { Job, RunDetail, SumLine } from '../../shared/api/types'
import { length } from '../../shared/format/length'
import { Trouble } from '../../shared/ui/Trouble'
import { SumSteps } from './SumSteps'

type Texts = Readonly<Record<string, string>>

/** The run's sums, and what they would be with another length, gauge or supply: nothing is stored. */
export function WhatIf({ job, run }: { readonly job: Job; readonly run: RunDetail }) {
  const [texts, setTexts] = useState<Texts>({})
  const [volts, setVolts] = useState<number | null>(null)
  const changed = Object.keys(texts).length > 0 || volts !== null
  const wanted = useDeferredValue({ texts, volts })
  const answer = useQuery({
    queryKey: ['what-if', job.id, job.version, run.id, wanted],
    queryFn: () => post<{ sums: SumLine[] }>(`/api/jobs/${job.id}/cabling/runs/${run.id}/what-if`, wanted),
    placeholderData: keepPreviousData,
    enabled: changed,
    retry: false,
  })
  const change = useChange(job.id)
  const back = () => {
    setTexts({})
    setVolts(null)
  }
  const take = () =>
    change.mutate(
      editing(
        ...Object.entries(texts).map(([field, after]) => ({
          item: 'run',
          id: run.id,
          field,
          before: run.texts[field] ?? '',
          after,
        })),
      ),
      { onSuccess: back },
    )
  return (
    <Box component="section" aria-label="Sums of this run">
      <Sliders job={job} run={run} texts={texts} volts={volts} onTexts={setTexts} onVolts={setVolts} />
      {changed && (
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', my: 1 }}>
          <Box role="status" sx={{ flex: 1 }}>
            As it would be; nothing is stored yet.
          </Box>
          {rights(job).plan && volts === null && <Button onClick={take}>Make it so</Button>}
          <Button onClick={back}>As it is</Button>
        </Box>
      )}
      {(answer.error ?? change.error) && <Trouble>{sentence(answer.error ?? change.error)}</Trouble>}
      <SumSteps label="Steps" sums={changed && answer.data ? answer.data.sums : run.sums} />
    </Box>
  )
}

interface SlidersProps {
  readonly job: Job
  readonly run: RunDetail
  readonly texts: Texts
  readonly volts: number | null
  readonly onTexts: (texts: Texts) => void
  readonly onVolts: (volts: number | null) => void
}

function Sliders({ job, run, texts, volts, onTexts, onVolts }: SlidersProps) {
  const metres = Number(texts.metres ?? run.texts.metres)
  const gauge = Number(texts.gauge ?? (run.texts.gauge || run.usualGauge))
  const conductors = Number(texts.conductors ?? run.texts.conductors)
  const longest = Math.max(150, Math.ceil(Number(run.texts.metres) * 2))
  return (
    <Box
      sx={{ display: 'grid', gridTemplateColumns: '200px 1fr', columnGap: 2, alignItems: 'center', mb: 1 }}
    >
      <Slid
        words="Length"
        shown={length(metres, job.site.units)}
        value={metres}
        min={0}
        max={longest}
        onChange={(v) => onTexts({ ...texts, metres: String(v) })}
      />
      {run.gauges.length > 1 && (
        <Slid
          words="Gauge"
          shown={`AWG ${gauge}`}
          value={run.gauges.indexOf(gauge)}
          min={0}
          max={run.gauges.length - 1}
          onChange={(v) => onTexts({ ...texts, gauge: String(run.gauges[v]) })}
        />
      )}
      {run.volts !== null && (
        <>
          <Slid
            words="Wires each way"
            shown={String(conductors)}
            value={conductors}
            min={1}
            max={4}
            onChange={(v) => onTexts({ ...texts, conductors: String(v) })}
          />
          <Slid
            words="Supply"
            shown={`${volts ?? run.volts} V`}
            value={volts ?? run.volts}
            min={5}
            max={56}
            onChange={(v) => onVolts(v === run.volts ? null : v)}
          />
        </>
      )}
    </Box>
  )
}

interface SlidProps {
  readonly words: string
  readonly shown: string
  readonly value: number
  readonly min: number
  readonly max: number
  readonly onChange: (value: number) => void
}

function Slid({ words, shown, value, min, max, onChange }: SlidProps) {
  return (
    <>
      <Box>
        {words} <b className="mono">{shown}</b>
      </Box>
      <Slider
        size="small"
        aria-label={words}
        getAriaValueText={() => shown}
        value={value}
        min={min}
        max={max}
        onChange={(_, v) => onChange(v)}
      />
    </>
  )
}

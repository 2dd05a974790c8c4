import type { Job } from '../shared/api/types'
import { counted } from '../shared/format/counted'

/** One page of a job and how far its stage is, as a count. */
export interface Stage {
  readonly path: string
  readonly name: string
  readonly count: string
}

/** It was found where it is planned; what has no address says it by its mark. */
function isSet(d: Job['devices'][number]): boolean {
  return d.address === '' ? d.mark === 'set' || d.mark === 'proved' : d.found === d.address
}

/** The stages in working order. */
export function stagesOf(job: Job): readonly Stage[] {
  const onLine = new Set(job.lines.map((l) => l.cameraId))
  const cameras = job.devices.filter((d) => onLine.has(d.id))
  const addressed = job.devices.filter((d) => d.networked)
  const stops = job.findings.filter(
    (f) => f.severity === 'stop' && f.waiver === null && f.discipline === 'addresses',
  )
  const stopped = new Set(stops.flatMap((f) => f.deviceIds))
  const sound = addressed.filter((d) => !stopped.has(d.id)).length
  const set = cameras.filter(isSet).length
  const proved = job.lines.reduce((sum, l) => sum + l.proved, 0)
  const toProve = job.lines.reduce((sum, l) => sum + l.toProve, 0)
  const late = job.findings.filter((f) => f.code === 'SHOT-LATE' && f.waiver === null).length
  return [
    { path: '', name: 'Line-up', count: counted(job.lines.length, 'line', 'lines') },
    { path: 'site', name: 'Site', count: counted(job.ranges.length, 'range noted', 'ranges noted') },
    { path: 'kit', name: 'Kit', count: counted(job.devices.length, 'device', 'devices') },
    { path: 'cabling', name: 'Cabling', count: counted(job.runs.length, 'run', 'runs') },
    { path: 'addresses', name: 'Addresses', count: `${sound} of ${addressed.length} sound` },
    { path: 'bring-up', name: 'Bring-up', count: `${set} of ${cameras.length} set` },
    { path: 'desk', name: 'Desk', count: `${set} to drive` },
    { path: 'shots', name: 'Shots', count: late === 0 ? 'none late' : `${late} late` },
    { path: 'paint', name: 'Paint', count: `${cameras.filter((d) => d.paints).length} to paint` },
    { path: 'prove', name: 'Prove', count: `${proved} of ${toProve} proved` },
  ]
}

/** Always there, whatever the stage. */
export const always: readonly Stage[] = [
  { path: 'wire', name: 'Wire log', count: '' },
  { path: 'logbook', name: 'Logbook', count: '' },
  { path: 'people', name: 'People', count: '' },
]

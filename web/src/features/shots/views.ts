import type { Job, Preset, PresetRow } from '../../shared/api/types'

/** What a take can show: a stored view, or a camera that somebody drives by hand. */
export interface View {
  readonly device: number
  /** As the camera calls it; null for by hand. */
  readonly preset: number | null
  readonly label: string
  /** What it is found by. */
  readonly words: string
}

/** Of every line, its stored views in their order, then the camera by hand. */
export function viewsOf(job: Pick<Job, 'lines' | 'devices'>, rows: readonly PresetRow[]): readonly View[] {
  return job.lines.flatMap((line) => {
    const camera = job.devices.find((d) => d.id === line.cameraId)?.name ?? line.name
    const kept = rows.find((r) => r.device === line.cameraId)?.presets ?? []
    const short = line.name === camera ? camera : `${line.name} ${camera}`
    return [
      ...kept.map((p) => ({
        device: line.cameraId,
        preset: p.number,
        label: `${camera} · ${p.called || `no key (${p.number})`}${p.name ? ` ${p.name}` : ''}`,
        words: `${short} ${line.name}.${digits(p)} ${digits(p)} ${p.name} ${p.subject}`.toLowerCase(),
      })),
      {
        device: line.cameraId,
        preset: null,
        label: `${camera} · by hand`,
        words: `${short} by hand`.toLowerCase(),
      },
    ]
  })
}

/** Typed without its stroke: 2-3 is found by 23. */
const digits = (p: Pick<Preset, 'called'>): string => p.called.replace(/\D/g, '')

/** Those in which every typed word begins a word: "l4 far" finds the far end of L4. */
export function found(views: readonly View[], typed: string): readonly View[] {
  const wanted = typed.toLowerCase().split(/\s+/).filter(Boolean)
  return views.filter((v) => {
    const words = v.words.split(/\s+/)
    return wanted.every((w) => words.some((word) => word.startsWith(w)))
  })
}

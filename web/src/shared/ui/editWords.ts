import type { Edit, Item, Job } from '../api/types'

/** Fields that hold the number of a device. */
const DEVICES = new Set([
  'fitted',
  'controller',
  'also',
  'panel',
  'switcher',
  'camera',
  'through',
  'from',
  'to',
])

const WORDS: Readonly<Record<string, string>> = {
  controlId: 'control ID',
  also: 'second controller',
  alsoKey: 'key on the second controller',
  panelKey: 'paint key',
  panel: 'paint panel',
  fitted: 'fitted to',
  panLimit: 'pan limit',
  format: 'set to',
  poe: 'PoE',
  conductors: 'conductors on each way',
  metres: 'length in m',
  irOff: 'infrared receiver off',
}

/** What an edit changes, by the name people use. */
export function itemName(job: Job, edit: Pick<Edit, 'item' | 'id'>): string {
  if (edit.item === 'device') return job.devices.find((d) => d.id === edit.id)?.name ?? ''
  if (edit.item === 'line') return job.lines.find((l) => l.id === edit.id)?.name ?? ''
  if (edit.item === 'run') return job.runs.find((r) => r.id === edit.id)?.name ?? 'run'
  return edit.item
}

/** A new item in a few words. */
export function addedWords(job: Job, item: Item): string {
  const text = (field: string) => valueWords(job, field, item.values[field] ?? '')
  if (item.item !== 'run') return item.values.name ?? item.item
  return `${text('from')} ${text('fromPort')} → ${text('to')} ${text('toPort')}, ${text('cable')}, ${text('metres')} m`
}

export const fieldWords = (field: string): string =>
  WORDS[field] ?? field.replace(/[A-Z]/g, (c) => ` ${c.toLowerCase()}`)

/** A value as people say it: a device by its name, nothing as "none". */
export function valueWords(job: Job, field: string, text: string): string {
  if (text === '') return 'none'
  if (!DEVICES.has(field)) return text
  return job.devices.find((d) => String(d.id) === text)?.name ?? text
}

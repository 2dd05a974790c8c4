import type { Edit, Job } from '../api/types'

/** Fields that hold the number of a device. */
const DEVICES = new Set(['fitted', 'controller', 'panel', 'switcher', 'camera', 'through'])

const WORDS: Readonly<Record<string, string>> = {
  controlId: 'control ID',
  panelKey: 'paint key',
  panel: 'paint panel',
  fitted: 'fitted to',
  panLimit: 'pan limit',
  format: 'set to',
}

/** What an edit changes, by the name people use. */
export function itemName(job: Job, edit: Pick<Edit, 'item' | 'id'>): string {
  if (edit.item === 'device') return job.devices.find((d) => d.id === edit.id)?.name ?? ''
  if (edit.item === 'line') return job.lines.find((l) => l.id === edit.id)?.name ?? ''
  return edit.item
}

export const fieldWords = (field: string): string =>
  WORDS[field] ?? field.replace(/[A-Z]/g, (c) => ` ${c.toLowerCase()}`)

/** A value as people say it: a device by its name, nothing as "none". */
export function valueWords(job: Job, field: string, text: string): string {
  if (text === '') return 'none'
  if (!DEVICES.has(field)) return text
  return job.devices.find((d) => String(d.id) === text)?.name ?? text
}

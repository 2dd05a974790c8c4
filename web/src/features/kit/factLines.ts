import type { Facts, Schema } from './profileSchema'
import { isFacts } from './profileSchema'

/** One fact in words, with its unit. */
export interface FactLine {
  readonly words: string
  readonly value: string
}

/** Facts that belong together. */
export interface FactGroup {
  readonly title: string
  readonly lines: readonly FactLine[]
}

/** Every fact of a profile, group by group, in the order of the schema; what is not said is left out. */
export function factGroups(schema: Schema, facts: Facts): readonly FactGroup[] {
  const single: FactLine[] = []
  const groups: FactGroup[] = []
  for (const [key, part] of Object.entries(schema.properties ?? {})) {
    const value = facts[key]
    if (value === undefined) continue
    const lines = linesOf(part, value, '')
    if (part.type === 'object' || part.items?.type === 'object') {
      if (lines.length > 0) groups.push({ title: part.title ?? key, lines })
    } else single.push(...lines)
  }
  return [{ title: 'What it is', lines: single }, ...groups]
}

function linesOf(schema: Schema, value: unknown, before: string): readonly FactLine[] {
  if (isFacts(value)) {
    return Object.entries(schema.properties ?? {}).flatMap(([key, part]) =>
      value[key] === undefined
        ? []
        : linesOf(part, value[key], isFacts(value[key]) ? `${part.title}: ` : before),
    )
  }
  if (Array.isArray(value) && schema.items?.type === 'object') {
    return value.filter(isFacts).map((item) => itemLine(schema.items ?? {}, item))
  }
  const said = plain(schema, value)
  return said === '' ? [] : [{ words: before + (schema.title ?? ''), value: said }]
}

/** An item of a list: its first fact names it, the rest stands behind. */
function itemLine(schema: Schema, item: Facts): FactLine {
  const parts = Object.entries(schema.properties ?? {}).flatMap(([key, part]) => {
    const said = item[key] === undefined ? '' : plain(part, item[key])
    return said === '' ? [] : [{ part, said }]
  })
  const [first, ...rest] = parts
  return {
    words: first?.said ?? '',
    value: rest
      .map(({ part, said }) =>
        part.type === 'boolean' ? part.title?.toLowerCase() : `${part.title?.toLowerCase()} ${said}`,
      )
      .join(', '),
  }
}

function plain(schema: Schema, value: unknown): string {
  if (value === false) return ''
  if (value === true) return 'yes'
  const text = Array.isArray(value) ? value.map(String).join(', ') : String(value)
  return text === '' ? '' : [text, schema['x-unit'] ?? ''].join(' ').trim()
}

import type { Facts, Schema } from './profileSchema'
import { isFacts, said } from './profileSchema'

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
  const inner = Object.entries(schema.properties ?? {}).flatMap(([key, part]) => innerWords(part, item[key]))
  return {
    words: first?.said ?? '',
    value: [
      ...inner,
      ...rest.map(({ part, said }) =>
        part.type === 'boolean' ? part.title?.toLowerCase() : `${part.title?.toLowerCase()} ${said}`,
      ),
    ].join(', '),
  }
}

/** Items of an item, each by all that it says: choices, conditions, ways to say it. */
function innerWords(schema: Schema, value: unknown): readonly string[] {
  if (schema.items?.type !== 'object' || !Array.isArray(value) || value.length === 0) return []
  const each = value.filter(isFacts).map((one) => wordsOf(one))
  return [`${schema.title?.toLowerCase()}: ${each.join('; ')}`]
}

const wordsOf = (value: unknown): string =>
  isFacts(value)
    ? Object.values(value).map(wordsOf).filter(Boolean).join(' ')
    : Array.isArray(value)
      ? value.map(wordsOf).join(' or ')
      : said(value)

function plain(schema: Schema, value: unknown): string {
  if (schema.type === 'object' || schema.items?.type === 'object') return ''
  if (value === false) return ''
  if (value === true) return 'yes'
  const text = Array.isArray(value) ? value.map(String).join(', ') : String(value)
  return text === '' ? '' : [text, schema['x-unit'] ?? ''].join(' ').trim()
}

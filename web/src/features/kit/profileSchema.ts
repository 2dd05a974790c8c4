/** As much of JSON Schema as the published profile schema uses. */
export interface Schema {
  readonly title?: string
  readonly type?: 'object' | 'array' | 'string' | 'number' | 'integer' | 'boolean'
  readonly properties?: Readonly<Record<string, Schema>>
  readonly required?: readonly string[]
  readonly items?: Schema
  readonly enum?: readonly string[]
  readonly minimum?: number
  readonly maximum?: number
  readonly minLength?: number
  readonly maxLength?: number
  readonly 'x-unit'?: string
}

export type Facts = Readonly<Record<string, unknown>>

/** A single fact as a text; nothing for what is none. */
export const said = (value: unknown): string =>
  typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean' ? `${value}` : ''

export const isFacts = (value: unknown): value is Facts =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** What a new part starts with: what it must have, at its least. */
export function blank(schema: Schema): unknown {
  switch (schema.type) {
    case 'object':
      return Object.fromEntries(
        (schema.required ?? []).map((key) => [key, blank(schema.properties?.[key] ?? {})]),
      )
    case 'array':
      return []
    case 'boolean':
      return false
    case 'number':
    case 'integer':
      return schema.minimum ?? 0
    default:
      return schema.enum?.[0] ?? ''
  }
}

/** The same facts with one key set, or taken out when there is nothing to say. */
export function withFact(facts: Facts, key: string, value: unknown): Facts {
  const rest = Object.fromEntries(Object.entries(facts).filter(([k]) => k !== key))
  return value === undefined || value === '' ? rest : { ...rest, [key]: value }
}

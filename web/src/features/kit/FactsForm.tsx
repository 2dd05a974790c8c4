import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import type { ReactNode } from 'react'
import { useState } from 'react'
import { FactInput } from './FactInput'
import type { Facts, Schema } from './profileSchema'
import { blank, isFacts, said, withFact } from './profileSchema'
import { sayingLine } from './sayingLine'

/** Where something is wrong, as a JSON pointer, and why. */
export interface Problem {
  readonly at: string
  readonly reason: string
}

interface Props {
  readonly schema: Schema
  readonly facts: Facts
  readonly problems: readonly Problem[]
  readonly onChange: (facts: Facts) => void
  /** Pointer of this part. */
  readonly at?: string
}

/** A form made from the schema: facts beside each other, groups that can be there or not. */
export function FactsForm({ schema, facts, problems, onChange, at = '' }: Props) {
  const parts = Object.entries(schema.properties ?? {})
  const isGroup = (part: Schema) => part.type === 'object' || part.items?.type === 'object'
  const set = (key: string, value: unknown) => onChange(withFact(facts, key, value))
  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, mt: 1 }}>
        {parts
          .filter(([, part]) => !isGroup(part))
          .map(([key, part]) => (
            <FactInput
              key={key}
              schema={part}
              required={schema.required?.includes(key) ?? false}
              value={facts[key]}
              problem={problems.find((p) => p.at === `${at}/${key}`)?.reason}
              onChange={(value) => set(key, value)}
            />
          ))}
      </Box>
      {parts
        .filter(([, part]) => isGroup(part))
        .map(([key, part]) => (
          <Group
            key={key}
            schema={part}
            value={facts[key]}
            needed={schema.required?.includes(key) ?? false}
            problems={problems}
            at={`${at}/${key}`}
            onChange={(value) => set(key, value)}
          />
        ))}
    </>
  )
}

/** An item with parts of its own is long: it opens when somebody wants it. */
const hasParts = (item: Schema) =>
  Object.values(item.properties ?? {}).some((p) => p.type === 'object' || p.items?.type === 'object')

interface FoldedProps {
  readonly folds: boolean
  readonly name: string
  readonly open: boolean
  readonly children: ReactNode
}

function Folded({ folds, name, open, children }: FoldedProps) {
  const [wanted, setWanted] = useState(open)
  if (!folds) return <Box sx={{ flex: 1 }}>{children}</Box>
  return (
    <Box sx={{ flex: 1, py: 0.5 }}>
      <Button
        size="small"
        aria-expanded={wanted}
        onClick={() => setWanted(!wanted)}
        sx={{ minWidth: 0, textAlign: 'left' }}
      >
        {wanted ? '▾' : '▸'} {name || 'without a name'}
      </Button>
      {wanted && (
        <Box sx={{ borderLeft: '3px solid', borderColor: 'divider', pl: 1.5, ml: 1, mb: 1 }}>{children}</Box>
      )}
    </Box>
  )
}

interface GroupProps {
  readonly schema: Schema
  readonly value: unknown
  readonly needed: boolean
  readonly problems: readonly Problem[]
  readonly at: string
  readonly onChange: (value: unknown) => void
}

function Group({ schema, value, needed, problems, at, onChange }: GroupProps) {
  const title = schema.title ?? ''
  const rules = { borderTop: '1px solid', borderColor: 'divider', mt: 2, pt: 1 }
  if (schema.type === 'array') {
    const items = Array.isArray(value) ? value.filter(isFacts) : []
    const item = schema.items ?? {}
    return (
      <Box component="fieldset" sx={{ ...rules, border: 0, m: 0, p: 0 }}>
        <Box sx={{ ...rules, display: 'flex', alignItems: 'center', gap: 2 }}>
          <b>{title}</b>
          <Button size="small" onClick={() => onChange([...items, blank(item)])}>
            One more
          </Button>
        </Box>
        {items.map((facts, i) => (
          <Box key={i} sx={{ display: 'flex', gap: 1, alignItems: 'start' }}>
            <Folded
              folds={hasParts(item)}
              name={said(facts.name) || sayingLine(facts)}
              open={facts.name === ''}
            >
              <FactsForm
                schema={item}
                facts={facts}
                problems={problems}
                at={`${at}/${i}`}
                onChange={(next) => onChange(items.map((x, k) => (k === i ? next : x)))}
              />
            </Folded>
            <Button
              size="small"
              sx={{ mt: 1 }}
              aria-label={`Remove ${title} ${i + 1}`}
              onClick={() => onChange(items.filter((_, k) => k !== i))}
            >
              Remove
            </Button>
          </Box>
        ))}
      </Box>
    )
  }
  const there = isFacts(value)
  return (
    <Box sx={rules}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
        <b>{title}</b>
        {!needed && (
          <Button
            size="small"
            aria-label={`${there ? 'Take out' : 'Put in'}: ${title}`}
            onClick={() => onChange(there ? undefined : blank(schema))}
          >
            {there ? 'Take out' : 'Put in'}
          </Button>
        )}
      </Box>
      {there && <FactsForm schema={schema} facts={value} problems={problems} at={at} onChange={onChange} />}
    </Box>
  )
}

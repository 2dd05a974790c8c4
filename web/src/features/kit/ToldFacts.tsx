import Box from '@mui/material/Box'
import type { ReactNode } from 'react'
import type { Facts } from './profileSchema'
import { isFacts, said } from './profileSchema'
import { sayingLine } from './sayingLine'

const list = (value: unknown): readonly Facts[] => (Array.isArray(value) ? value.filter(isFacts) : [])

/** The knobs and verbs of a profile: what each is, when it acts, and exactly how it is said. */
export function ToldFacts({ facts }: { readonly facts: Facts }) {
  return (
    <>
      <Section title="Knobs" items={list(facts.knobs)} about={range} />
      <Section title="Verbs" items={list(facts.verbs)} about={(v) => said(v.does)} />
    </>
  )
}

interface SectionProps {
  readonly title: string
  readonly items: readonly Facts[]
  readonly about: (item: Facts) => ReactNode
}

function Section({ title, items, about }: SectionProps) {
  if (items.length === 0) return null
  return (
    <Box component="section" sx={{ mt: 2 }}>
      <Box component="h3" sx={{ typography: 'h2', m: 0, mb: 0.5 }}>
        {title}
      </Box>
      {items.map((item) => (
        <Box
          key={said(item.name)}
          sx={{ display: 'flex', gap: 2, py: 0.5, borderTop: '1px solid', borderColor: 'divider' }}
        >
          <Box sx={{ width: 130, flexShrink: 0, fontWeight: 600 }}>{said(item.name)}</Box>
          <Box sx={{ minWidth: 0 }}>
            <div>{about(item)}</div>
            {list(item.only).map((o, i) => (
              <Box key={i} sx={{ color: 'text.secondary' }}>
                only while {said(o.knob)} is {names(o.in).join(' or ')}
              </Box>
            ))}
            {list(item.said).map((s, i) => (
              <Box key={i} className="mono" sx={{ fontSize: '0.88rem', overflowWrap: 'anywhere' }}>
                {sayingLine(s)}
              </Box>
            ))}
          </Box>
        </Box>
      ))}
    </Box>
  )
}

const names = (value: unknown): readonly string[] => (Array.isArray(value) ? value.map(said) : [])

/** Its values, what a step does, and whether it can be read back. */
function range(knob: Facts): string {
  const choices = list(knob.choices).map((c) => said(c.name))
  const values = choices.length > 0 ? choices.join(', ') : `${said(knob.least)} to ${said(knob.most)}`
  const effect = knob.effect === undefined ? '' : `; a step is ${said(knob.effect)} ${said(knob.unit)}`
  const neutral = knob.neutral === undefined || choices.length > 0 ? '' : `, neutral at ${said(knob.neutral)}`
  return `${values}${neutral}${effect}${knob.readable === true ? '' : '; not read back'}`
}

import Box from '@mui/material/Box'
import type { BringUp, Step } from '../../shared/api/types'
import { StateMark } from '../../shared/ui/StateMark'
import { shortWords } from './words'

/** The whole run sheet, with the evidence behind each step that is done. */
export function RunSheetList({ view }: { readonly view: BringUp }) {
  return (
    <Box
      component="ol"
      aria-label="Run sheet"
      tabIndex={0}
      sx={{
        listStyle: 'none',
        m: 0,
        p: 0,
        fontSize: '0.95rem',
        maxHeight: { md: 'calc(100vh - 190px)' },
        overflowY: 'auto',
      }}
    >
      {view.steps.map((s) => (
        <Box
          component="li"
          key={s.number}
          title={s.saw}
          ref={s.number === view.current ? intoView : undefined}
          aria-current={s.number === view.current ? 'step' : undefined}
          sx={{
            display: 'flex',
            gap: 1,
            py: 0.35,
            px: 1,
            borderLeft: '4px solid',
            borderColor: s.number === view.current ? 'primary.main' : 'transparent',
            fontWeight: s.number === view.current ? 700 : 400,
            color: s.done ? 'text.secondary' : 'text.primary',
          }}
        >
          <Box className="mono" sx={{ width: 34, textAlign: 'right' }}>
            {s.number}
          </Box>
          <Box sx={{ flex: 1 }}>
            {shortWords[s.kind]} {s.device}
          </Box>
          <Evidence step={s} />
        </Box>
      ))}
    </Box>
  )
}

/** A long list follows the work. */
function intoView(row: HTMLElement | null) {
  row?.scrollIntoView({ block: 'nearest' })
}

function Evidence({ step }: { readonly step: Step }) {
  if (!step.done) return null
  if (step.differs) return <StateMark mark="differs" />
  return step.kind === 'verify' ? <StateMark mark="set" /> : <span>{step.evidence}</span>
}

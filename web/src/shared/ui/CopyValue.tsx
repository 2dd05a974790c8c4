import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useState } from 'react'

interface Props {
  readonly label: string
  readonly value: string
  /** Its labels are long. */
  readonly wide?: boolean
  /** What is copied, where the label does not say it. */
  readonly name?: string
  /** In the middle of a sentence: no more room than it needs. */
  readonly bare?: boolean
}

/** A value to type elsewhere, large and in the type where 0 and O differ, with its copy button. */
export function CopyValue({ label, value, wide = false, name = label, bare = false }: Props) {
  const [copied, setCopied] = useState(false)
  const copy = async () => {
    await navigator.clipboard.writeText(value)
    setCopied(true)
    setTimeout(() => setCopied(false), 1500)
  }
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, py: 0.4 }}>
      {!bare && <Box sx={{ width: wide ? 150 : 76, flexShrink: 0, color: 'text.secondary' }}>{label}</Box>}
      <Box
        className="mono"
        sx={{
          fontSize: { xs: '1.1rem', sm: '1.3rem' },
          minWidth: bare ? 0 : { sm: 190 },
          flex: { xs: 1, sm: 'none' },
        }}
      >
        {value || '(leave empty)'}
      </Box>
      {value.length > (bare ? 2 : 0) && (
        <Button size="small" variant="outlined" onClick={copy} aria-label={`Copy ${name}`}>
          {copied ? 'Copied' : 'Copy'}
        </Button>
      )}
    </Box>
  )
}

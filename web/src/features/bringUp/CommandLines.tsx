import Box from '@mui/material/Box'
import type { Commands } from './laptopCommands'

/** What to type, one line for each of three desktop systems. */
export function CommandLines({ commands }: { readonly commands: Commands }) {
  return (
    <Box sx={{ mt: 0.75 }}>
      {commands.does}:
      {commands.lines.map((line) => (
        <Box
          key={line}
          component="code"
          sx={{ display: 'block', mt: 0.5, fontSize: '0.88rem', overflowWrap: 'anywhere', userSelect: 'all' }}
        >
          {line}
        </Box>
      ))}
    </Box>
  )
}

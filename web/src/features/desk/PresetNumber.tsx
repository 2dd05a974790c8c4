import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import type { PresetRow } from '../../shared/api/types'
import { called, numbersOf } from './presets'

interface Props {
  readonly row: PresetRow
  readonly number: number
  readonly onNumber: (number: number) => void
}

/** One of the numbers that a camera keeps views under, as its controller calls them. */
export function PresetNumber({ row, number, onNumber }: Props) {
  return (
    <TextField
      select
      size="small"
      label="Number"
      value={number}
      onChange={(e) => onNumber(Number(e.target.value))}
      sx={{ width: 110 }}
    >
      {numbersOf(row).map((n) => (
        <MenuItem key={n} value={n}>
          {called(row, n)}
        </MenuItem>
      ))}
    </TextField>
  )
}

import Autocomplete from '@mui/material/Autocomplete'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import type { Ref } from 'react'
import { found } from './views'
import type { View } from './views'

interface Props {
  readonly label: string
  readonly views: readonly View[]
  readonly value: View | null
  readonly onPick: (view: View) => void
  readonly onLeave?: () => void
  readonly inputRef?: Ref<HTMLInputElement>
  readonly autoFocus?: boolean
}

/** A view by a few letters of its camera, its number or its name. */
export function ViewPick({ label, views, value, onPick, onLeave, inputRef, autoFocus = false }: Props) {
  const [typed, setTyped] = useState('')
  return (
    <Autocomplete
      size="small"
      options={[...views]}
      value={value}
      inputValue={typed}
      onInputChange={(_, text) => setTyped(text)}
      getOptionLabel={(v) => v.label}
      getOptionKey={(v) => `${v.device}.${v.preset ?? 'hand'}`}
      isOptionEqualToValue={(a, b) => a.device === b.device && a.preset === b.preset}
      filterOptions={(options, { inputValue }) => [
        ...(inputValue === value?.label ? options : found(options, inputValue)),
      ]}
      onChange={(_, view) => view && onPick(view)}
      onClose={() => onLeave?.()}
      autoHighlight
      openOnFocus={autoFocus}
      noOptionsText="No camera keeps such a view. Store it on Desk first."
      sx={{ width: 250 }}
      renderInput={(params) => (
        <TextField
          {...params}
          autoFocus={autoFocus}
          {...(inputRef ? { inputRef } : {})}
          placeholder="View, as: l4 far"
          slotProps={{
            ...params.slotProps,
            htmlInput: { ...params.slotProps.htmlInput, 'aria-label': label },
          }}
        />
      )}
    />
  )
}

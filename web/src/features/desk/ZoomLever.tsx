import Box from '@mui/material/Box'
import Button from '@mui/material/Button'

/** Two buttons that zoom while they are held. */
export function ZoomLever({ onZoom }: { readonly onZoom: (zoom: number) => void }) {
  const hold = (zoom: number) => ({
    onPointerDown: (e: React.PointerEvent) => {
      e.currentTarget.setPointerCapture(e.pointerId)
      onZoom(zoom)
    },
    onPointerUp: () => onZoom(0),
    onPointerCancel: () => onZoom(0),
    onLostPointerCapture: () => onZoom(0),
  })
  return (
    <Box sx={{ display: 'grid', gap: 1, alignContent: 'start' }}>
      <Button
        variant="outlined"
        sx={{ height: 84, touchAction: 'none' }}
        {...hold(1)}
        aria-label="Zoom in while held"
      >
        + tele
      </Button>
      <Button
        variant="outlined"
        sx={{ height: 84, touchAction: 'none' }}
        {...hold(-1)}
        aria-label="Zoom out while held"
      >
        − wide
      </Button>
    </Box>
  )
}

import Box from '@mui/material/Box'

/** Over a picture whose next one is late: nobody drives by what may be over without being told. */
export function OldPicture() {
  return (
    <Box
      role="status"
      sx={{
        alignSelf: 'start',
        justifySelf: 'start',
        px: 1,
        fontSize: '0.94rem',
        bgcolor: 'rgba(20,24,28,0.86)',
        color: '#FFD27D',
      }}
    >
      Some seconds old: the next picture is late
    </Box>
  )
}

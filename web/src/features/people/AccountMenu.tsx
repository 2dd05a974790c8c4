import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Menu from '@mui/material/Menu'
import MenuItem from '@mui/material/MenuItem'
import { useState } from 'react'
import { del } from '../../shared/api/client'
import { useSession } from '../signIn'
import { PasswordDialog } from './PasswordDialog'

/** One's own account: another password, and the ways out. */
export function AccountMenu() {
  const { session, signOut } = useSession()
  const [anchor, setAnchor] = useState<HTMLElement | null>(null)
  const [changing, setChanging] = useState(false)
  const close = () => setAnchor(null)
  const everywhere = async () => {
    await del('/auth/sessions')
    window.location.assign('/sign-in')
  }
  return (
    <>
      <Button
        size="small"
        onClick={(e) => setAnchor(e.currentTarget)}
        aria-haspopup="menu"
        aria-label={session.data?.name}
      >
        <Box component="span" sx={{ display: { xs: 'none', sm: 'inline' } }}>
          {session.data?.name}
        </Box>
        <Box component="span" sx={{ display: { sm: 'none' } }} aria-hidden="true">
          {session.data?.name.split(' ')[0]}
        </Box>
      </Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={close}>
        <MenuItem
          onClick={() => {
            close()
            setChanging(true)
          }}
        >
          Change password …
        </MenuItem>
        <MenuItem onClick={() => void everywhere()}>Sign out everywhere</MenuItem>
        <MenuItem onClick={() => signOut.mutate()}>Sign out</MenuItem>
      </Menu>
      {changing && <PasswordDialog onClose={() => setChanging(false)} />}
    </>
  )
}

/** The methods, as a heading says them. */
export const methodWords: Readonly<Record<string, string>> = {
  hop: 'Hop to each factory network',
  'hop-each': 'Hop for each device',
  'second-address': 'Second address on the laptop',
  lease: 'Lease first',
  search: 'Search first',
  'pairing-code': 'Pairing code first',
  'switch-port': 'Port by port',
}

/** The steps, as the list says them. */
export const shortWords: Readonly<Record<string, string>> = {
  reach: 'Set in reach',
  'hop-out': 'Hop out',
  alias: 'Second address',
  plug: 'Connect',
  'plug-off': 'Connect, port off',
  port: 'Port on',
  see: 'Boots, seen',
  reset: 'Reset',
  update: 'Update',
  lease: 'Take a lease',
  search: 'Find by a search',
  pair: 'Pair by its code',
  set: 'Set address',
  restart: 'Restarts',
  label: 'Label',
  'hop-home': 'Hop home',
  verify: 'Verify',
  'lead-out': 'Lead out',
  ask: 'Ask',
  'lead-home': 'Lead back',
  enter: 'Enter cameras',
  join: 'Join',
  stream: 'Stream',
}

/** Kinds of work, as the sums name them. */
export const workWords: Readonly<Record<string, string>> = {
  hop: 'Change the laptop’s address',
  alias: 'Add an address to the laptop',
  plug: 'Connect a device',
  reset: 'Reset a device',
  update: 'Load firmware',
  lease: 'Switch to a lease, read it',
  search: 'Find it by a search, read it',
  pair: 'Pair it by its code, read it',
  port: 'Enable a port',
  set: 'Log in and set',
  verify: 'Verify',
  label: 'Label (workshop)',
}

/** What the simulated hall does in a technician's place. */
export const handWords: Readonly<Record<string, string>> = {
  'hop-out': 'Put the laptop there',
  'hop-home': 'Put the laptop home',
  alias: 'Add the address',
  plug: 'Plug it in',
  port: 'Switch the port on',
  reset: 'Reset it',
  lease: 'Switch it to a lease',
  search: 'Pick it from the search',
  pair: 'Type its code',
  set: 'Log in, type and save it',
  reach: 'Turn its dials',
  'plug-off': 'Switch the port off, plug it in',
  update: 'Load the firmware',
  'lead-out': 'Move the lead',
  'lead-home': 'Put it back',
  enter: 'Enter them as planned',
  join: 'Join it',
}

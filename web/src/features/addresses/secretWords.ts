/** What a secret is for. */
export const useWords: Readonly<Record<string, string>> = {
  password: 'Password',
  'stream-key': 'Stream key',
  'tunnel-key': 'Tunnel key',
  'wireless-passphrase': 'Wireless passphrase',
}

/** Commands of three desktop systems; the interface's own name goes in for eth0, Ethernet and en0. */
export interface Commands {
  readonly does: string
  readonly lines: readonly string[]
}

/** Puts the laptop on an address, or gives it one more. */
export function taking(address: string, prefixed: string, mask: string, more: boolean): Commands {
  return more
    ? {
        does: 'Add it',
        lines: [
          `sudo ip addr add ${prefixed} dev eth0`,
          `netsh interface ip add address "Ethernet" ${address} ${mask}`,
          `sudo ifconfig en0 alias ${address} ${mask}`,
        ],
      }
    : {
        does: 'Set it',
        lines: [
          `sudo ip addr flush dev eth0 && sudo ip addr add ${prefixed} dev eth0`,
          `netsh interface ip set address "Ethernet" static ${address} ${mask}`,
          `sudo networksetup -setmanual "Ethernet" ${address} ${mask}`,
        ],
      }
}

/** The way back: takes one address away again, or asks the house for a lease. */
export function goingBack(address: string, prefixed: string, more: boolean): Commands {
  return more
    ? {
        does: 'Take it away again',
        lines: [
          `sudo ip addr del ${prefixed} dev eth0`,
          `netsh interface ip delete address "Ethernet" ${address}`,
          `sudo ifconfig en0 -alias ${address}`,
        ],
      }
    : {
        does: 'Back to a lease of the house',
        lines: [
          'sudo ip addr flush dev eth0 && sudo dhclient eth0',
          'netsh interface ip set address "Ethernet" dhcp',
          'sudo networksetup -setdhcp "Ethernet"',
        ],
      }
}

/** Makes the laptop forget who had an address. */
export function forgetting(address: string): Commands {
  return {
    does: 'Forget it',
    lines: [`sudo ip neigh flush to ${address}`, `arp -d ${address}`, `sudo arp -d ${address}`],
  }
}

import type { Step } from '../../shared/api/types'

/** What a step asks of a technician, in words. */
export interface StepWords {
  readonly title: string
  readonly todo: string
  /** What is seen when it is right. */
  readonly expect: string
  /** What the simulated hall can do in the technician's place; empty when there is nothing by hand. */
  readonly hands: string
}

export function stepWords(step: Step): StepWords {
  const { device, factory, planned, laptop } = step
  switch (step.kind) {
    case 'hop-out':
      return {
        title: 'Hop the laptop to the factory network',
        todo: 'Switch wireless off and give the laptop this address, with no gateway.',
        expect: `The laptop is on ${laptop}.`,
        hands: `Put the laptop on ${laptop}`,
      }
    case 'plug':
      return {
        title: `Connect ${device}, and nothing else that is new`,
        todo: 'Plug its run into the PoE switch. The head moves when it gets power: hands and cables clear, nobody below.',
        expect: 'Its link light is on and the head goes to its start-up view.',
        hands: `Plug ${device} in`,
      }
    case 'see':
      return {
        title: `Wait for ${device} to boot, then see it on its factory address`,
        todo: `When the wait is over, ask ${factory}.`,
        expect: `Exactly one camera answers at ${factory}.`,
        hands: '',
      }
    case 'set':
      return {
        title: `Give ${device} its planned address`,
        todo: `Open ${factory} in a browser, sign in, turn DHCP off, type these values and save. It restarts by itself.`,
        expect: 'The camera says it has saved and restarts.',
        hands: 'Type and save it',
      }
    case 'restart':
      return {
        title: `Wait for ${device} to restart`,
        todo: 'Leave everything as it is until the wait is over.',
        expect: laptop.startsWith(factory.split('.').slice(0, 3).join('.'))
          ? `${factory} is silent, so the next camera may come.`
          : `${device} answers at ${planned}.`,
        hands: '',
      }
    case 'hop-home':
      return {
        title: 'Hop the laptop home',
        todo: 'Give the laptop its own address in the house network again.',
        expect: `The laptop is on ${laptop}.`,
        hands: `Put the laptop on ${laptop}`,
      }
    default:
      return {
        title: `Verify ${device} at its planned address`,
        todo: `Ask ${planned} who it is and where it points.`,
        expect: `${device} answers VISCA at ${planned}, with the MAC on its label.`,
        hands: '',
      }
  }
}

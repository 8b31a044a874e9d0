/** The words of HookRow. */
export const words = {
  lubeNotEntered: 'lube not entered',
  bareWaxItBefore: 'bare: wax it before it goes on',
  hungTooLongWipe: (lube: string) => `${lube}, hung too long: wipe it and renew it first`,
  usedUp: (lube: string) => `${lube} used up`,
  fresh: (lube: string) => `fresh ${lube}`,
  used: (lube: string, used: number) => `${lube}, ${used} % used`,
  joiningLinkNotEntered: 'joining link not entered',
  itsJoiningLinkWent: 'its joining link went on with another chain',
  joiningLinkClosedOfTimes: (closings: number, allowed: number) =>
    `joining link closed ${closings} of ${allowed} times: take a fresh one`,
  joiningLinkClosedOfTimes2: (closings: number, allowed: number) =>
    `joining link closed ${closings} of ${allowed} times`,
  runsOnAllCogs: 'runs on all cogs',
  maySkipOn: (cogs: string, chance: string) => `may skip on ${cogs} (${chance})`,
  onTheBike: ', on the bike',
}

/** The words of ElongationChart. */
export const words = {
  today: 'today',
  limitIn: (aboutKm: string) => `limit: ${aboutKm}`,
  kmSinceItWas: 'km since it was fitted',
  milesSinceItWas: 'miles since it was fitted',
  afterTheChainIsAtAbout: (
    km: string,
    figure: string,
    limit: string,
    aboutKm: string,
    aboutKm2: string,
    aboutKm3: string,
  ) =>
    `After ${km} the chain is at about ${figure} %; it reaches ${limit} % in about ${aboutKm}, probably ${aboutKm2} to ${aboutKm3}.`,
  fromNow: 'From now',
  elongationLikely: 'Elongation, likely',
  n1In10Below: '1 in 10 below',
  n1In10Above: '1 in 10 above',
}

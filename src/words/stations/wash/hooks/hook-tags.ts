/** The words of HookTags. */
export const words = {
  codeThatOpens: (name: string) => `Code that opens ${name}`,
  printTagsForTheHooks: 'Print tags for the hooks',
  tagsForTheHooks: 'Tags for the hooks',
  cutThemOutAndHang:
    'Cut them out and hang one on each hook. The code opens that chain’s log on a phone that can reach this address.',
  tags: 'Tags',
  print: 'Print',
}

interface RunPaper {
  /** Below the run. */
  readonly path: string;
  readonly name: string;
}

/** Everything that is printed of a run, by its name. */
export const papersOfRun = (kind: 'class' | 'kits'): readonly RunPaper[] => {
  const isKits = kind === 'kits';
  return [
    { path: 'papers/packs', name: isKits ? 'Box lists' : 'Pack lists' },
    { path: 'papers/labels', name: 'Labels' },
    { path: 'papers/contents', name: 'Contents card' },
    { path: 'pattern', name: 'Patterns, as each is made' },
    { path: 'booklets', name: 'Booklets, all of the run in one file' },
    { path: 'cards', name: isKits ? 'Cards for the box' : 'Cards for packs, certificates' },
    { path: 'guide', name: 'Guide at true size' },
    ...(isKits
      ? []
      : [
          { path: 'papers/before-class', name: 'Before they come: what to bring' },
          { path: 'papers/sign-up', name: 'Sign-up list' },
          { path: 'papers/room', name: 'Room list' },
          { path: 'papers/run-sheet', name: 'Run sheet of the day' },
          { path: 'papers/homework', name: 'Homework sheet' },
          { path: 'papers/risks', name: 'Risks of the class' },
          { path: 'codes', name: 'Codes for learners’ phones' },
        ]),
    { path: 'papers/shortage', name: 'What is short' },
    { path: 'papers/preparation', name: 'To prepare beforehand' },
    { path: 'papers/weigh-out', name: 'Weigh-out list' },
    ...(isKits
      ? []
      : [
          { path: 'needles', name: 'Needles' },
          { path: 'tray', name: 'Needle tray' },
        ]),
  ];
};

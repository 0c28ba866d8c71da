/** The stages and pages by name: what each is for, and other words for it. */

export const GRADE_NAMES = { proper: 'full', 'ride-out': 'ride-out', limp: 'limp' } as const;

export const PAGES: {
  stages: Readonly<Record<string, string>>;
  pages: readonly { name: string; says: string; words: string; to: { path: string; query?: Record<string, string> } }[];
} = {
  stages: {
    '/walk': 'measure the bike',
    '/match': 'find tools for it',
    '/trip': 'where you ride',
    '/kit': 'what to carry',
    '/stow': 'where it goes',
    '/crew': 'who carries what',
    '/prove': 'practise and check',
    '/road': 'fix it out there',
  },
  pages: [
    {
      name: 'Toolbox',
      says: 'the tools that you own',
      words: 'drawer tools spanner',
      to: { path: '/match', query: { tab: 'drawer' } },
    },
    {
      name: 'What to buy',
      says: 'the cheapest or lightest that is missing',
      words: 'shop price money',
      to: { path: '/match', query: { tab: 'buy' } },
    },
    {
      name: 'Dry run',
      says: 'does this set of tools do it?',
      words: 'try test',
      to: { path: '/match', query: { tab: 'try' } },
    },
    {
      name: 'Who rides along',
      says: 'companions, and bikes that are helped',
      words: 'group companion share crew',
      to: { path: '/crew', query: { tab: 'people' } },
    },
    {
      name: 'Route',
      says: 'import a GPX track',
      words: 'gpx track map way',
      to: { path: '/trip', query: { tab: 'way' } },
    },
    {
      name: 'Spares on this trip',
      says: 'how many of each are enough',
      words: 'stock',
      to: { path: '/trip', query: { tab: 'stocks' } },
    },
    {
      name: 'Ride log',
      says: 'kilometres ridden and what broke',
      words: 'log record',
      to: { path: '/trip', query: { tab: 'record' } },
    },
    {
      name: 'Service',
      says: 'what falls due on the way',
      words: 'oil due maintenance',
      to: { path: '/trip', query: { tab: 'due' } },
    },
    {
      name: 'Tyres and air',
      says: 'pump, cartridges, pressures',
      words: 'inflate pressure pump',
      to: { path: '/trip', query: { tab: 'air' } },
    },
    {
      name: 'Simulation',
      says: 'the trip ridden a thousand times',
      words: 'odds monte',
      to: { path: '/trip', query: { tab: 'many' } },
    },
    {
      name: 'Repairs',
      says: 'every problem with its steps',
      words: 'mend fix trouble',
      to: { path: '/kit', query: { tab: 'mends' } },
    },
    {
      name: 'Part specs',
      says: 'what a spare must match, and the spares owned',
      words: 'spares tube bulb fuse',
      to: { path: '/kit', query: { tab: 'fit' } },
    },
    {
      name: 'Preferences',
      says: 'how you work, and what it costs',
      words: 'settings options practice',
      to: { path: '/kit', query: { tab: 'practice' } },
    },
    {
      name: 'Saved kits',
      says: 'save a kit, compare two',
      words: 'compare freeze',
      to: { path: '/kit', query: { tab: 'kept' } },
    },
    {
      name: 'Load on the bike',
      says: 'axle loads, centre of gravity',
      words: 'weight balance',
      to: { path: '/stow', query: { tab: 'load' } },
    },
    {
      name: 'Split the crew',
      says: 'two halves, somebody turns back',
      words: 'group apart halves lead sweep',
      to: { path: '/crew', query: { tab: 'rules' } },
    },
    {
      name: 'Share tools with companions',
      says: 'who carries what, as lists',
      words: 'share group companion lists print csv',
      to: { path: '/crew', query: { tab: 'lists' } },
    },
    {
      name: 'What the bikes have in common',
      says: 'sizes, tubes, fuses, connectors',
      words: 'match same odd swap',
      to: { path: '/crew', query: { tab: 'common' } },
    },
    {
      name: 'Lent to somebody',
      says: 'missing until it is back',
      words: 'loan borrow give lend',
      to: { path: '/crew', query: { tab: 'lent' } },
    },
    {
      name: 'Drills',
      says: 'rehearse a repair with the packed kit',
      words: 'practise practice train rehearse exercise',
      to: { path: '/prove' },
    },
    {
      name: 'Checks',
      says: 'what to look at before leaving and each evening',
      words: 'checklist inspect tick reminder evening round departure',
      to: { path: '/prove', query: { tab: 'checks' } },
    },
    {
      name: 'Watch list',
      says: 'what to look at again after a repair',
      words: 'again odometer plug patch axle',
      to: { path: '/prove', query: { tab: 'watch' } },
    },
    {
      name: 'Find it, size it, find the fault',
      says: 'three games with your own kit',
      words: 'game quiz cards memory train fault finding',
      to: { path: '/prove', query: { tab: 'games' } },
    },
    {
      name: 'Calendar',
      says: 'checks as a calendar file',
      words: 'ics dates reminders import',
      to: { path: '/prove', query: { tab: 'paper' } },
    },
    {
      name: 'Pocket card',
      says: 'sizes, torques and pressures for the jacket',
      words: 'print paper torque emergency',
      to: { path: '/print/card' },
    },
    {
      name: 'Trip book',
      says: 'everything as one print',
      words: 'paper print repair sheets steps',
      to: { path: '/print/book' },
    },
    {
      name: 'What is wrong?',
      says: 'find the fault and fix it, without a signal',
      words: 'broken breakdown roadside help fault emergency where am i position',
      to: { path: '/road' },
    },
    {
      name: 'Review the trip',
      says: 'what was used, missing or never needed',
      words: 'after afterwards look back home used stay',
      to: { path: '/road', query: { after: '1' } },
    },
    { name: 'Print the list', says: 'one page by place', words: 'paper', to: { path: '/print' } },
  ],
};

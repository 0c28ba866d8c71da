/** Settings of the rider's practice as the screens say them, where what is stored says it shorter. */
const SAID: Readonly<Record<string, string>> = {
  drawer: 'my toolbox',
  'drawer first': 'my toolbox, the rest bought',
  catalogue: 'bought new',
  mass: 'weight',
  bulk: 'volume',
  count: 'number of tools',
};
export const positionWords = (position: string): string => SAID[position] ?? position;

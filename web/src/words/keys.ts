/** Keys by stage, as the `?` key lists them. */
export const KEYS: Readonly<Record<string, readonly { key: string; does: string }[]>> = {
  '/walk': [
    { key: '/', does: 'Type a fastener in one line' },
    { key: 'Enter', does: 'Add it, or save the change' },
    { key: '↓ ↑', does: 'From the line to the list; the last line again' },
    { key: 'Esc', does: 'Leave the line' },
  ],
  '/match': [{ key: '/', does: 'Type a tool in one line, in the toolbox tab' }],
  '/kit': [{ key: '← →', does: 'Move the weight limit on the curve, or go to the next tab' }],
  '/stow': [{ key: '← → ↑ ↓', does: 'Move a place on the drawing, after “Move places”; with Shift in longer steps' }],
  '/crew': [
    { key: 'Enter', does: 'On an item: why it is carried, and who else could' },
    { key: '↓ ↑', does: 'In its menu: what changes if somebody else carries it' },
  ],
  '/prove': [
    { key: 'Space', does: 'In a drill: the step is done' },
    { key: 'S', does: 'In a drill: stuck' },
    { key: 'P', does: 'In a drill: pause, or go on' },
    { key: '1 2 3', does: 'In a round of checks: fine, found something, skip' },
  ],
  everywhere: [
    { key: 'Ctrl K', does: 'Search' },
    { key: 'Ctrl Z', does: 'Undo your last change' },
    { key: 'Ctrl Shift Z', does: 'Redo it' },
    { key: '?', does: 'Show these keys' },
  ],
};

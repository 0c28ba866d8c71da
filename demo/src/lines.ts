import {
  climb,
  newFastener,
  newPiece,
  newSupply,
  printShape,
  readEntry,
  readItems,
  ROLES,
  type Fastener,
  type Piece,
  type Role,
  type Supply,
} from '@necessaire/core';

const WHEN = '2026-04-18T09:30:00.000Z';
/** How a made-up rider came to know each size. */
function known(f: Fastener, who: string): Fastener {
  const size = printShape(f.head);
  const how = { assumed: '', measured: 'calliper', tried: `${size} put on`, proven: 'turned with the travel kit' };
  if (f.evidence === 'assumed') return f;
  const inch = /^Rack bolt/.test(f.name) && f.head.size === '1/2in';
  const gauge = inch ? { readings: [12.61, 12.58, 12.63], surface: 'clean' as const, tries: [] } : null;
  return climb({ ...f, gauge }, { evidence: f.evidence, who, when: WHEN, how: how[f.evidence] });
}

/** Fasteners from entry lines; a line that cannot be read is a fault of the demo and throws. */
export function fastenersFrom(lines: string, bikeId: string, nextId: () => string, who = 'Mirel'): Fastener[] {
  return lines
    .trim()
    .split('\n')
    .map((line) => {
      const [rest = '', leftOut] = line.split(/ -(?=\p{L})/u);
      const [entry = '', role] = rest.split(' |');
      const { draft, faults, asks } = readEntry(entry);
      const open = [...faults.map((f) => f.message), ...asks.map((a) => a.question)];
      if (open.length > 0 || !draft.head) throw new Error(`demo line "${line}": ${open.join('; ')}`);
      if (role && !ROLES.includes(role as Role)) throw new Error(`demo line "${line}": no role ${role}`);
      const made = newFastener({ ...draft, id: nextId(), bikeId, head: draft.head });
      return {
        ...known(made, who),
        torque: made.torque && { ...made.torque, source: 'manual' as const },
        role: (role as Role | undefined) ?? null,
        leftOut: leftOut ?? null,
      };
    });
}

/** Tools and spares from lines as a rider types them; a line that leaves a question is a fault of the demo and throws. */
export function itemsFrom(lines: string, nextId: () => string): { pieces: Piece[]; supplies: Supply[] } {
  const pieces: Piece[] = [];
  const supplies: Supply[] = [];
  for (const line of lines.trim().split('\n')) {
    const { items, faults, asks } = readItems(line);
    const open = [...faults.map((f) => f.message), ...asks.map((a) => a.question)];
    if (open.length > 0 || items.length === 0) throw new Error(`demo line "${line}": ${open.join('; ')}`);
    for (const item of items)
      if (item.at === 'spare') supplies.push(newSupply({ id: nextId(), ...item.spare }));
      else pieces.push(newPiece(item.tool.model, { id: nextId(), ...item.tool.said }));
  }
  return { pieces, supplies };
}

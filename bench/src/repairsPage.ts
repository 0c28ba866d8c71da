import { format, resolveConfig } from 'prettier';
import {
  betterWords,
  GRADE_WORTH,
  lasting,
  needsOf,
  SKILL_WORDS,
  SUBJECTS,
  supplyKind,
  TROUBLES,
  type Trouble,
  type Way,
} from '@necessaire/core';
import { said } from '@necessaire/words';

const times = (what: string, n: number) => (n > 1 ? `${what} ×${n}` : what);
const on = (w: { only: object }): string => {
  const traits = Object.entries(w.only as Record<string, unknown>).map(([key, value]) =>
    key === 'hydraulic'
      ? 'brakes worked by fluid'
      : key === 'byHand'
        ? `${String(value)} start`
        : `${key} ${String(value)}`,
  );
  return traits.length > 0 ? ` (${traits.join(', ')})` : '';
};
const rate = (t: Trouble): string =>
  t.service
    ? 'falls due by the bike’s own book'
    : `${t.rate.paved} / ${t.rate.gravel} / ${t.rate.track} per 1000 km paved / gravel / track${t.perCrossing > 0 ? `, ${t.perCrossing} a crossing` : ''}`;

function wayLines(w: Way): string[] {
  const n = needsOf(w);
  const line = (title: string, list: string[]) => (list.length > 0 ? [`  - ${title}: ${list.join(', ')}`] : []);
  const when = w.when.map((c) => (c === 'company' ? 'with a companion' : 'where the bike starts by pushing'));
  const last = said('metric', lasting(w));
  return [
    `- **${w.name}**${on(w)}: ${w.grade}, ${w.minutes} min, ${SKILL_WORDS[w.skill]}, holds ${Math.round(w.holds * 100)} in 100${when.length > 0 ? `; ${when.join(', ')}` : ''}`,
    ...line(
      'turns',
      n.heads.map((h) => (h.ifAny ? `${h.role} where there is one` : h.role)),
    ),
    ...line(
      'needs something to',
      n.functions.map((f) => times(f.does, f.count)),
    ),
    ...line(
      'uses',
      n.supplies.map((s) =>
        times(s.kind === 'bolt' ? 'bolt of its thread' : supplyKind(s.kind).name.toLowerCase(), s.units),
      ),
    ),
    ...line(
      'quicker with',
      w.better.map((b) => `${betterWords(b)} (${b.saves} min less)`),
    ),
    ...(w.second > 0 ? [`  - a second pair of hands saves ${w.second} min`] : []),
    ...(last ? [`  - ${last}`] : []),
  ];
}

/** The page of all repairs: by subject, each with its rate and its ways, the best first. */
export async function repairsPage(): Promise<string> {
  const lines = [
    '# Repairs',
    '',
    'Made by `npm run repairs` from `core/src/repairs/`. Rates, minutes, shares and distances are typical values from general practice, not',
    'measurements: the maker’s manual comes first. The steps and cautions stand in Kit, under Repairs, and in the files of each subject.',
    '',
    '## How a grade is given',
    '',
    `- **proper** (counts ${GRADE_WORTH.proper * 100} %): as at home. The right part or the same part, fastened as the maker fastens it; nothing has to be done again.`,
    `- **ride-out** (${GRADE_WORTH['ride-out'] * 100} %): bears riding on a road to a workshop at the speed and distance that the way says; has to be done again there.`,
    `- **limp** (${GRADE_WORTH.limp * 100} %): gets bike or rider to people or the road, at walking pace or on foot, or leaves something out that riding wants.`,
    '- What only brakes, axles, steering, wheels or engine mounts hang on is proper or not ridden.',
    '',
  ];
  for (const subject of SUBJECTS) {
    const list = TROUBLES.filter((t) => t.subject === subject);
    if (list.length === 0) continue;
    lines.push(`## ${subject[0]!.toUpperCase()}${subject.slice(1)}`, '');
    for (const t of list) {
      lines.push(
        `### ${t.name}`,
        '',
        `\`${t.id}\`${on(t)}. ${rate(t)[0]!.toUpperCase()}${rate(t).slice(1)}. ${t.stops ? 'Ends the ride' : `Costs ${t.nuisance} h`} where it is not mended.`,
        '',
        ...t.ways.flatMap(wayLines),
        '',
      );
    }
  }
  return format(lines.join('\n'), { ...(await resolveConfig(import.meta.filename)), parser: 'markdown' });
}

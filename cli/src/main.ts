import { parseArgs } from 'node:util';
import { crewCommand } from './crew.js';
import { deviceCommand } from './devices.js';
import { realIo, UsageError, type Io } from './io.js';
import { kitCommand } from './kit.js';
import { proveCommand } from './prove.js';

const USAGE = `necessaire kit FILE [--bike NAME] [--trip NAME] [--json]

Works out the lightest kit of an exported garage: the same answer as the screens.
  FILE          a garage file; - reads standard input
  --bike NAME   which bike; the first when left out
  --trip NAME   which trip; the first when left out
  --json        the answer as JSON

necessaire crew FILE [--trip NAME] [--json]

Who carries what on a trip that several ride: a list for each, and for all.

necessaire prove FILE [--bike NAME] [--trip NAME] [--json | --calendar]

How ready bike, kit and rider are: what is proven, which drill is next, what is to be checked.
  --calendar    the checks as a calendar file (RFC 5545)

necessaire calliper [--size 13 | --across 12.91] [options]
necessaire scale    [--piece NAME | --mass 85] [options]

Stand in for the devices: readings of a head, or of a piece from the catalogue.
  --keyboard    type lines like a keyboard, to standard output (a calliper does unless told otherwise)
  --stream      send lines through the server to the open page (a scale does unless told otherwise)
  --server URL  which server; http://127.0.0.1:7380 when left out
  --garage NAME which garage, by name or id; the first when left out
  --name NAME   what the device calls itself
  --lines N     how many lines; 3 from a calliper, 24 from a scale
  --every MS    time between two lines
  --noise X     spread of a reading, mm or g
  --zero X      what it shows when it should show nought
  --drop X      share of lines that are lost on the way, 0 to 1
  --inch        readings in inches
  --seed N      the same seed gives the same readings

Exit codes: 0 done; 1 the program failed; 2 the input is at fault, with the path to the culprit.
`;
const text = { type: 'string' } as const;
const flag = { type: 'boolean' } as const;

/**
 * Runs the command line.
 * @param args arguments behind the program's name
 * @returns exit code
 */
export async function main(args: string[], given: Partial<Io> = {}): Promise<number> {
  const io: Io = { ...realIo, ...given };
  try {
    const { positionals, values } = parseArgs({
      args,
      allowPositionals: true,
      options: {
        ...{ bike: text, trip: text, json: { ...flag, default: false }, help: { ...flag, short: 'h', default: false } },
        ...{ size: text, across: text, piece: text, mass: text, lines: text, every: text, noise: text, zero: text },
        ...{ drop: text, seed: text, server: text, garage: text, name: text },
        ...{ inch: flag, keyboard: flag, stream: flag, calendar: flag },
      },
    });
    if (values.help) {
      io.out(USAGE);
      return 0;
    }
    const [command, file, ...more] = positionals;
    if ((command === 'calliper' || command === 'scale') && file === undefined)
      return await deviceCommand(command, values, io);
    const run = { kit: kitCommand, crew: crewCommand, prove: proveCommand }[command ?? ''];
    if (!run || !file || more.length > 0)
      throw new UsageError(
        'say: necessaire kit FILE, necessaire crew FILE, necessaire prove FILE, necessaire calliper or necessaire scale',
      );
    return await run(file, values, io);
  } catch (error) {
    const usage = error instanceof UsageError || (error as { code?: string }).code?.startsWith('ERR_PARSE_ARGS');
    io.err(`${error instanceof Error ? error.message : String(error)}\n${usage ? `\n${USAGE}` : ''}`);
    return usage ? 2 : 1;
  }
}

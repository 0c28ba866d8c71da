import { parseArgs } from 'node:util';
import { kitCommand } from './kit.js';

export interface Io {
  out: (text: string) => void;
  err: (text: string) => void;
}
/** What a command was asked wrongly with; exit code 2. */
export class UsageError extends Error {}

const USAGE = `necessaire kit FILE [--bike NAME] [--trip NAME] [--json]

Works out the lightest kit of an exported garage: the same answer as the screens.
  FILE          a garage file; - reads standard input
  --bike NAME   which bike; the first when left out
  --trip NAME   which trip; the first when left out
  --json        the answer as JSON

Exit codes: 0 done; 1 the program failed; 2 the input is at fault, with the path to the culprit.
`;

/**
 * Runs the command line.
 * @param args arguments behind the program's name
 * @returns exit code
 */
export async function main(args: string[], io: Io): Promise<number> {
  try {
    const { positionals, values } = parseArgs({
      args,
      allowPositionals: true,
      options: {
        bike: { type: 'string' },
        trip: { type: 'string' },
        json: { type: 'boolean', default: false },
        help: { type: 'boolean', short: 'h', default: false },
      },
    });
    if (values.help) {
      io.out(USAGE);
      return 0;
    }
    const [command, file, ...more] = positionals;
    if (command !== 'kit' || !file || more.length > 0) throw new UsageError('say: necessaire kit FILE');
    return await kitCommand(file, values, io);
  } catch (error) {
    const usage = error instanceof UsageError || (error as { code?: string }).code?.startsWith('ERR_PARSE_ARGS');
    io.err(`${error instanceof Error ? error.message : String(error)}\n${usage ? `\n${USAGE}` : ''}`);
    return usage ? 2 : 1;
  }
}

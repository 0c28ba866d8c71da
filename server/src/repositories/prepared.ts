const statements = new Map<string, string>();

/** A statement that is prepared once a connection, under its own text. */
export function prepared(text: string): { name: string; text: string } {
  let name = statements.get(text);
  if (!name) statements.set(text, (name = `n${statements.size}`));
  return { name, text };
}

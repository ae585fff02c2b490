/** What a page of the desk has in its data under a name: a token. Pages write their data as a list, in JSON in a string. */
export function tokenIn(page: string, name: string): string {
  const token = new RegExp(`"${name}\\\\?",\\\\?"([\\w-]{20,})`).exec(page)?.[1];
  if (!token) throw new Error(`the page names no ${name}`);
  return token;
}

/** By which a desk's windows are let in. @param base where the server listens; a desk of its own machine needs no passcode */
export async function deskToken(base: string): Promise<string> {
  const { start } = (await (await fetch(`${base}/desk-start`)).json()) as { start: { deskToken: string } };
  return start.deskToken;
}

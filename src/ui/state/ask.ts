/**
 * Asks the server and takes the whole answer; null where none came. An answer that is not read to its end holds its
 * connection, of which a browser has six: nothing of what a household sees is kept in its cache, which would read it.
 */
export async function ask(path: string, init: RequestInit = {}): Promise<Response | null> {
  try {
    const answer = await fetch(path, init);
    const body = await answer.text();
    return new Response(answer.status === 204 ? null : body, {
      status: answer.status,
      headers: answer.headers
    });
  } catch {
    return null;
  }
}

/** Posts JSON; null where no answer came. */
export const post = (path: string, body: unknown): Promise<Response | null> =>
  ask(path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body)
  });

import type { InputError } from './generated/schema';

/** What the server says when it refuses: field, value and range stand in the errors. */
export class Refused extends Error {
  constructor(
    public readonly status: number,
    message: string,
    public readonly errors: InputError[],
    public readonly body: unknown,
  ) {
    super(message);
  }

  /** True where the same may be taken later: the store is full or busy, too much is asked at once. */
  get passes(): boolean {
    return this.status === 503 || this.status === 507;
  }
}

/** Largest file that the server reads, bytes; a weather file may be larger. */
export const largestFile = 4 << 20;
export const largestWeather = 16 << 20;

export interface AskOptions {
  /** While a person types, half a number comes back as a refusal without a failed request. */
  typing?: boolean;
  signal?: AbortSignal;
  /** Name of a long run, under which its place in the queue can be asked. */
  run?: string;
}

/** Asks the server; a refusal is thrown. */
export async function ask<T>(
  method: 'GET' | 'POST' | 'PATCH' | 'DELETE',
  path: string,
  body?: unknown,
  { typing = true, signal, run }: AskOptions = {},
): Promise<T> {
  const asItIs = typeof body === 'string' || body instanceof Blob;
  const response = await fetch('/api' + path, {
    method,
    signal,
    headers: {
      ...(body === undefined
        ? {}
        : { 'content-type': body instanceof Blob ? body.type || 'application/octet-stream' : 'application/json' }),
      ...(typing ? { 'Vanto-Typing': '1' } : {}),
      ...(run ? { 'Vanto-Run': run } : {}),
    },
    body: body === undefined ? undefined : asItIs ? (body as BodyInit) : JSON.stringify(body),
  });
  if (response.status === 204) return undefined as T;
  // Only the door to the crew's network answers so; the device joins and comes back.
  if (response.status === 401 && location.pathname !== '/join') location.assign('/join');
  const answer = await response.json().catch(() => null);
  const refused = !response.ok || response.headers.get('content-type')?.startsWith('application/problem+json');
  if (refused)
    throw new Refused(
      answer?.status ?? response.status,
      answer?.detail ?? answer?.title ?? `The server answered ${response.status}.`,
      answer?.errors ?? [],
      answer,
    );
  return answer as T;
}

/** The words for a person when something that was asked did not come. */
export function whyNot(error: unknown, of = ''): string {
  return (of ? `${of}: ` : '') + (error instanceof Refused ? error.message : 'The server does not answer.');
}

/** Reads a file's text; one that the server would not take is refused here, with the reason. */
export async function textOf(file: File, most = largestFile): Promise<string> {
  if (file.size > most)
    throw new Refused(413, `It has ${(file.size / (1 << 20)).toFixed(1)} MB; at most ${most >> 20} MB are read.`, [], null);
  return await file.text();
}

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
}

/** Asks the server; a refusal is thrown. While a person types, half a number comes back as a refusal without a failed request. */
export async function ask<T>(method: 'GET' | 'POST' | 'PATCH' | 'DELETE', path: string, body?: unknown, typing = false): Promise<T> {
  const isText = typeof body === 'string';
  const response = await fetch('/api' + path, {
    method,
    headers: { ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...(typing ? { 'Vanto-Typing': '1' } : {}) },
    body: body === undefined ? undefined : isText ? body : JSON.stringify(body),
  });
  if (response.status === 204) return undefined as T;
  const answer = await response.json().catch(() => null);
  const refused = !response.ok || response.headers.get('content-type')?.startsWith('application/problem+json');
  if (refused)
    throw new Refused(
      answer?.status ?? response.status,
      answer?.title ?? `The server answered ${response.status}.`,
      answer?.errors ?? [],
      answer,
    );
  return answer as T;
}

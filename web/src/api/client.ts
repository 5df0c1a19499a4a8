import createClient from 'openapi-fetch';
import { noteReach } from './reach';
import type { components, paths } from './schema';

export type Schema = components['schemas'];
export type Question = Schema['Question'];
export type PieceCard = Schema['PieceCard'];
export type PieceView = Schema['PieceView'];
export type Answers = Record<string, string>;

/** A request the server did not carry out, in its own words. */
export class Problem extends Error {
  readonly type: string;
  readonly status: number;
  readonly field?: string;
  readonly questions: Question[];

  constructor(
    status: number,
    body: {
      type?: string;
      detail?: string;
      sentence?: string;
      field?: string;
      questions?: Question[];
    } = {},
  ) {
    super(
      body.sentence ??
        body.detail ??
        'Elvaro does not answer. What you typed is kept; try again in a moment.',
    );
    this.status = status;
    this.type = (body.type ?? '').replace('urn:elvaro:', '');
    this.field = body.field;
    this.questions = body.questions ?? [];
  }
}

function csrfToken(): string {
  return /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? '';
}

let write = (text: string): string => text;

/**
 * Says how the quantities in the server's sentences are written for whoever reads them. They come as `⟦mass 8400⟧`, and
 * are put in here, where every answer passes, so that no part of the screen has to think of it.
 */
export function writeQuantitiesWith(writer: (text: string) => string): void {
  write = writer;
}

/** The same answer with its quantities written for the reader. */
async function written(response: Response): Promise<Response> {
  const type = response.headers.get('Content-Type') ?? '';
  if (
    response.status === 204 ||
    response.status === 304 ||
    !type.includes('json') ||
    type.includes('ndjson')
  ) {
    return response; // an answer that comes line by line is written as it comes
  }
  const { status, statusText, headers } = response;
  return new Response(write(await response.text()), { status, statusText, headers });
}

let person: string | undefined;
let nobodyIsIn = () => {};

/** For whom the screen is drawn: what it sends is written in nobody else's name. */
export function drawFor(accountId: string | undefined): void {
  person = accountId;
}

/** What is done once the server says that the session ended. */
export function whenSignedOut(then: () => void): void {
  nobodyIsIn = then;
}

/** fetch with the CSRF token; a failure of any kind becomes a Problem. */
async function send(request: Request): Promise<Response> {
  request.headers.set('X-XSRF-TOKEN', csrfToken());
  if (person) {
    request.headers.set('X-Elvaro-Person', person);
  }
  let response: Response;
  try {
    response = await fetch(request);
  } catch {
    // What was called off, because a newer question took its place, says nothing of Elvaro.
    if (!request.signal.aborted) {
      noteReach(false);
    }
    throw new Problem(0);
  }
  // A proxy answers for a house that does not.
  noteReach(![502, 503, 504].includes(response.status));
  if (!response.ok) {
    const body = await written(response)
      .then((problem) => problem.json())
      .catch(() => undefined);
    const problem = new Problem(response.status, body);
    if (problem.type === 'signed-out' || problem.type === 'other-person') {
      nobodyIsIn();
    }
    throw problem;
  }
  return written(response);
}

export const api = createClient<paths>({ fetch: send });

/** What came back; openapi-fetch leaves it open for errors, which never get here. */
export async function answer<T>(call: Promise<{ data?: T }>): Promise<T> {
  return (await call).data as T;
}

export async function signIn(name: string, password: string): Promise<void> {
  drawFor(undefined);
  await send(
    new Request('/api/sign-in', {
      method: 'POST',
      body: new URLSearchParams({ username: name, password }),
    }),
  );
}

export async function signOut(): Promise<void> {
  await send(new Request('/api/sign-out', { method: 'POST' }));
}

/** To an address that the API's description does not have, as Spring Security's own. */
export async function sendJson(address: string, body: object = {}): Promise<unknown> {
  const sent = {
    method: 'POST',
    body: JSON.stringify(body),
    headers: { 'Content-Type': 'application/json' },
  };
  const text = await (await send(new Request(address, sent))).text();
  return text ? (JSON.parse(text) as unknown) : null;
}

/** Sends a file as it is. */
export async function sendBytes(
  address: string,
  file: Blob,
  { method = 'PUT', type = file.type }: { method?: string; type?: string } = {},
): Promise<Response> {
  return send(new Request(address, { method, body: file, headers: { 'Content-Type': type } }));
}

/** An answer that comes line by line, each line JSON, as it comes. */
export async function readLines<T>(response: Response, onLine: (line: T) => void): Promise<void> {
  const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (let read = await reader?.read(); read && !read.done; read = await reader?.read()) {
    const lines = (rest + read.value).split('\n');
    rest = lines.pop() ?? '';
    lines.filter(Boolean).forEach((line) => onLine(JSON.parse(write(line)) as T));
  }
}

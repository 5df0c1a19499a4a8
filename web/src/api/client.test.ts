import { expect, test } from 'vitest';
import { readLines } from './client';

const streamed = (...chunks: (string | Uint8Array)[]) => {
  const encoder = new TextEncoder();
  return new Response(
    new ReadableStream({
      start(controller) {
        chunks.forEach((chunk) =>
          controller.enqueue(typeof chunk === 'string' ? encoder.encode(chunk) : chunk),
        );
        controller.close();
      },
    }),
  );
};

async function read(response: Response): Promise<unknown[]> {
  const lines: unknown[] = [];
  await readLines(response, (line) => lines.push(line));
  return lines;
}

test('an answer is read line by line, wherever the network cut it', async () => {
  expect(await read(streamed('{"done":1}\n{"do', 'ne":2}', '\n', '{"done":3}\n'))).toEqual([
    { done: 1 },
    { done: 2 },
    { done: 3 },
  ]);
});

test('a letter of several bytes may be cut in two', async () => {
  const bytes = new TextEncoder().encode('{"from":"Höllin"}\n');
  const middle = bytes.indexOf(0xc3) + 1;
  expect(await read(streamed(bytes.slice(0, middle), bytes.slice(middle)))).toEqual([{ from: 'Höllin' }]);
});

test('a line that was not ended is not taken for one', async () => {
  expect(await read(streamed('{"done":1}\n{"taken":'))).toEqual([{ done: 1 }]);
  expect(await read(streamed())).toEqual([]);
});

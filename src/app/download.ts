import { Readable } from 'node:stream';

/** An answer that the browser keeps as a file. */
export function download(
  body: string | Uint8Array<ArrayBuffer> | ReadableStream<Uint8Array<ArrayBuffer>>,
  type: string,
  name: string,
  inline = false,
): Response {
  return new Response(body, {
    headers: {
      'content-type': type,
      'content-disposition': `${inline ? 'inline' : 'attachment'}; filename="${name}"`,
      'cache-control': 'no-store',
    },
  });
}

/** Text that comes piece by piece, as the body of an answer. */
export function streamOf(pieces: Iterable<string> | AsyncIterable<string>): ReadableStream<Uint8Array<ArrayBuffer>> {
  const bytes = Readable.from(pieces).map((piece: string) => Buffer.from(piece));
  return Readable.toWeb(bytes) as ReadableStream<Uint8Array<ArrayBuffer>>;
}

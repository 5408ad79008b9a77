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

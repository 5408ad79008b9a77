'use client';

/**
 * When even the frame of the pages could not be made. It stands for itself: no theme, no fonts, nothing that may have failed
 * with it.
 */
export default function GlobalError({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  return (
    <html lang="en">
      <body style={{ font: '18px/1.5 sans-serif', background: '#f3ede1', color: '#1e1b17', margin: '10vh 24px' }}>
        <main style={{ borderLeft: '6px solid #c59a3d', paddingLeft: 20, maxWidth: '34em' }}>
          <title>Trouble · Grit Keeper</title>
          <h1 style={{ fontSize: 22 }}>This page could not be made</h1>
          <p>
            What was saved before is safe; what you typed and did not send is kept in this browser. Try again; if it
            stays so, show the number to whoever keeps the server: {error.digest ?? 'none'}.
          </p>
          <button type="button" onClick={reset} style={{ font: 'inherit', padding: '10px 18px' }}>
            Try again
          </button>
        </main>
      </body>
    </html>
  );
}

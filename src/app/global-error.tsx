'use client';

/** The last resort: nothing but the browser itself is relied on. */
export default function GlobalError() {
  return (
    <html lang="en">
      <body style={{ fontFamily: 'sans-serif', padding: 48, maxWidth: 640 }}>
        <h1>Merry Lacquer could not be shown</h1>
        <p>All that you made is kept in this browser.</p>
        <p>
          <a href="/">Open it anew</a>
        </p>
      </body>
    </html>
  );
}

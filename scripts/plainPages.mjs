// Pages that stand by themselves: without a file, a script or the application behind them.

/** @param {string} title @param {string} content */
const page = (title, content) => `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="color-scheme" content="light dark">
    <title>${title} · Idle Tallow</title>
    <style>
      :root { --ground: #edf1f4; --plate: #fcfdfd; --ink: #131f3a; --rim: #1d3272; --on-rim: #fdfefe; }
      @media (prefers-color-scheme: dark) {
        :root { --ground: #0e172c; --plate: #18233f; --ink: #ecf0f7; --rim: #a9bdf3; --on-rim: #0e172c; }
      }
      body { margin: 0; padding: 1.5rem; background: var(--ground); color: var(--ink); font: 1.125rem/1.5 sans-serif; }
      main { max-width: 36rem; padding: 1.5rem; border: 2px solid var(--rim); border-radius: 1rem; background: var(--plate); }
      h1 { margin: 0 0 0.5rem; font-size: 1.5rem; }
      label { display: block; font-weight: 600; }
      input { box-sizing: border-box; width: 100%; min-height: 3rem; margin: 0.25rem 0 1rem; padding: 0 0.75rem; border: 1px solid var(--rim); border-radius: 0.5rem; background: var(--plate); color: inherit; font: inherit; }
      button, a { display: inline-block; min-height: 3rem; padding: 0.75rem 1.25rem; border: 0; border-radius: 0.5rem; background: var(--rim); color: var(--on-rim); font: inherit; font-weight: 600; text-decoration: none; cursor: pointer; box-sizing: border-box; }
    </style>
  </head>
  <body><main>${content}</main></body>
</html>
`;

/** Asks what the device is called. @param {string} code of characters that need no escaping: it was one of ours */
export const letInPage = (code) =>
  page(
    'Let this device in',
    `<h1>Let this device in</h1>
      <p>It works at the bench, and reads the rest. The owner can let it do more, or remove it.</p>
      <form method="post" action="/let-in">
        <input type="hidden" name="code" value="${code}">
        <label for="name">What is this device called?</label>
        <input id="name" name="name" maxlength="60" required autocomplete="off" placeholder="Tablet at the bench">
        <button>Let it in</button>
      </form>`,
  );

export const refusalPage = () =>
  page(
    'Not let in',
    `<h1>This device is not let in</h1>
      <p>Ask whoever owns this workshop for a code, and open it here.</p>`,
  );

/** Kept by the service worker: see public/sw.js. */
export const awayPage = () =>
  page(
    'No answer',
    `<h1>No answer from Idle Tallow</h1>
      <p>It may be starting, or stopped. Start it with <code>npm start</code> where it lies, and try again. What was ticked at the bench is kept in this browser, and a run that is open here goes on.</p>
      <a href="">Try again</a>`,
  );

/**
 * @param {import('node:http').ServerResponse} response
 * @param {number} status
 * @param {string} html
 */
export function sendPlain(response, status, html) {
  response.writeHead(status, {
    'content-type': 'text/html; charset=utf-8',
    'cache-control': 'no-store',
    'x-content-type-options': 'nosniff',
    'content-security-policy':
      "default-src 'none'; style-src 'unsafe-inline'; form-action 'self'; frame-ancestors 'none'",
  });
  response.end(html);
}

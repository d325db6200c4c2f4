/** The page that asks for the passphrase; `problem` is one of our own sentences. */
export function signInPage(problem: string): string {
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Sign in · Tarvin</title>
<meta name="viewport" content="width=device-width, initial-scale=1"><style>
body{margin:0;font:15px/1.5 sans-serif;background:#f4efe6;color:#1c2a2c;display:grid;place-items:center;min-height:100vh}
form{background:#fdfcf7;border:1px solid #d9d2c4;border-radius:4px;padding:28px;width:320px}
h1{font-size:20px;margin:0 0 14px}label{display:block;font-size:13px;color:#5d6764}
input,button{font:inherit;padding:6px 9px;border-radius:4px;border:1px solid #d9d2c4;width:100%;box-sizing:border-box}
button{margin-top:14px;background:#1c2a2c;color:#fdfcf7;border-color:#1c2a2c}p{color:#a13d2d;margin:10px 0 0}
</style></head><body><form method="post" action="/sign-in"><h1>tarvin</h1>
<label for="passphrase">passphrase</label><input id="passphrase" name="passphrase" type="password" autocomplete="current-password" autofocus required>
${problem === '' ? '' : `<p role="alert">${problem}</p>`}<button type="submit">Sign in</button></form></body></html>`
}

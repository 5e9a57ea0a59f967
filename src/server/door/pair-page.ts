/** What an unpaired device sees, and all that it sees: one form, drawn without a script. */
export function pairPage({ code = '', name = '', trouble = '' }: { code?: string; name?: string; trouble?: string }): string {
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Pair this device · Nembrel</title>
<style>
body { margin: 0; background: #f9f5ea; color: #1c2740; font: 18px/1.5 system-ui, sans-serif; }
main { max-width: 26rem; margin: 12vh auto 0; padding: 0 1.25rem; }
h1 { font-size: 1.6rem; margin: 0 0 .5rem; }
label { display: block; font-weight: 600; margin-top: 1.1rem; }
input { box-sizing: border-box; width: 100%; min-height: 52px; margin-top: .25rem; padding: 0 .8rem; border: 2px solid #6f6a5c; border-radius: 8px; background: #fff; color: inherit; font: inherit; }
#code { font-size: 1.7rem; letter-spacing: .3em; }
button { width: 100%; min-height: 56px; margin-top: 1.4rem; border: 0; border-radius: 8px; background: #1f5a96; color: #fff; font: inherit; font-weight: 700; }
.trouble { border-left: 5px solid #a3262a; padding-left: .8rem; font-weight: 600; }
</style>
</head>
<body>
<main>
<h1>Pair this device</h1>
<p>Open <em>Settings</em> on the computer that runs Nembrel and ask for a code there.</p>
${trouble ? `<p class="trouble" role="alert">${plain(trouble)}</p>` : ''}
<form method="post" action="/pair">
<label for="code">Code</label>
<input id="code" name="code" inputmode="numeric" autocomplete="one-time-code" maxlength="12" required value="${plain(code)}">
<label for="name">What this device is called</label>
<input id="name" name="name" maxlength="40" placeholder="ironing board" value="${plain(name)}">
<button>Pair it</button>
</form>
</main>
</body>
</html>
`;
}

const ENTITIES: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' };

function plain(text: string): string {
  return text.replace(/[&<>"']/g, (sign) => ENTITIES[sign]!);
}

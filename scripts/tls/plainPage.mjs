// What a browser is told that comes without TLS: why, how to trust this machine once, and on to the same page with TLS.
import { randomBytes } from 'node:crypto';

const escaped = (text) => text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

const STEPS = [
	[
		'A tablet or telephone that installs profiles',
		'Download the file and allow it. In the settings, under the profiles or device management, install it; then, under certificate trust, switch it on.'
	],
	[
		'Any other tablet or telephone',
		'Download the file. In the settings, under security and credentials, install a certificate, and of its kinds the one of an authority (CA).'
	],
	[
		'A computer',
		'Download the file and open it: into the trusted root authorities of this user or machine. A browser with a list of its own takes it under Settings, Certificates, Authorities: trust it for web sites.'
	]
];

/**
 * @param {{ to: string, print: { words: string, figures: string } }} of where it goes on, and the authority's fingerprint
 * @returns {{ html: string, policy: string }}
 */
export function plainPage({ to, print }) {
	const nonce = randomBytes(16).toString('base64');
	const html = `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>Trust this workshop · Anthypos</title>
<style nonce="${nonce}">body{font:1.15rem/1.5 system-ui,sans-serif;background:#f2ede2;color:#22282a;margin:0;padding:6vh 1.2rem}
main{max-width:40rem;margin:auto}h1{font-size:2rem;line-height:1.15;margin:0 0 .4rem}a.big{display:inline-block;background:#286a5b;color:#fff;
padding:.8rem 1.6rem;border-radius:.7rem;font-weight:700;text-decoration:none;margin:.3rem .6rem .3rem 0}a.other{background:none;color:#286a5b;border:2px solid #286a5b}
.words{font-size:1.4rem;font-weight:700;line-height:1.35}dt{font-weight:700;margin-top:.8rem}dd{margin:0}small{color:#5a6058;word-break:break-all}
section{background:#fbf8f1;border:1px solid #cfc5b0;border-radius:.8rem;padding:1.2rem 1.4rem;margin:1.2rem 0}</style></head><body><main>
<h1>Trust this workshop, once</h1>
<p>What goes over the network here is encrypted with a certificate that this machine made for itself. Your device has not heard of it yet.</p>
<p><a class="big" href="/workshop-authority.crt" download>Download the certificate</a><a class="big other" href="${escaped(to)}">It is trusted: go on</a></p>
<section><p>Compare before you trust it. The window in which the workshop runs shows the same words:</p>
<p class="words">${escaped(print.words)}</p><p><small>SHA-256 ${escaped(print.figures)}</small></p></section>
<dl>${STEPS.map(([kind, how]) => `<dt>${kind}</dt><dd>${how}</dd>`).join('')}</dl>
</main><script nonce="${nonce}">fetch(${JSON.stringify(new URL('/workshop-trusted', to).href).replace(/</g, '\\u003c')},{mode:'no-cors'}).then(function(){location.replace(${JSON.stringify(to).replace(/</g, '\\u003c')})}).catch(function(){})</script></body></html>`;
	const policy = `default-src 'none'; style-src 'nonce-${nonce}'; script-src 'nonce-${nonce}'; connect-src ${new URL(to).origin}; base-uri 'none'; form-action 'none'; frame-ancestors 'none'`;
	return { html, policy };
}

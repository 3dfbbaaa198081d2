import express, { type Express } from 'express';
import { derOf, fingerprintOf, type Authority } from './authority';
import { hostOf } from './ownPages';
import { safeHeaders } from './safeHeaders';

/**
 * The only thing that is handed out without encryption: the studio's authority, and how to trust it on each kind of phone.
 * It holds no data and takes none.
 * @param studioUrl where the studio itself is, by the host that was asked for
 * @param hosts names and addresses by which it may be called
 */
export function trustPage(
  authority: Authority,
  hosts: ReadonlySet<string>,
  studioUrl: (host: string) => string,
): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(safeHeaders(["'unsafe-inline'"]));
  app.use((request, response, next) => {
    const host = hostOf(request);
    if (!hosts.has(host)) return void response.status(403).type('text').send('Not here.');
    response.locals.host = host;
    next();
  });
  app.get('/studio-authority.crt', (_request, response) => {
    response
      .type('application/x-x509-ca-cert')
      .set('Content-Disposition', 'attachment; filename="ythrion-studio.crt"')
      .send(derOf(authority));
  });
  app.get('/', (request, response) => {
    const code = /^[a-z0-9]{1,16}$/.exec(String(request.query.code ?? ''))?.[0] ?? null;
    const next = studioUrl(response.locals.host as string) + (code === null ? '' : `/pair#${code}`);
    response.type('html').send(page(fingerprintOf(authority), next));
  });
  app.use((_request, response) => void response.status(404).type('text').send('Not here.'));
  return app;
}

const page = (fingerprint: string, next: string): string => `<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Trust this studio</title>
<style>
  body { font: 18px/1.5 system-ui, sans-serif; max-width: 34em; margin: 0 auto; padding: 16px; color: #141414; background: #fafafa }
  a.key { display: block; padding: 16px; margin: 12px 0; background: #141414; color: #fafafa; text-align: center; font-weight: 700 }
  summary { padding: 12px 0; font-weight: 700 }
  code { overflow-wrap: anywhere }
</style></head>
<body>
<h1>Trust this studio</h1>
<p>A phone that trusts the studio can open it while the network is away, ring when something is due, and stay awake at the pots. It is done once.</p>
<a class="key" href="/studio-authority.crt">1. Get the studio’s certificate</a>
<h2>2. Trust it</h2>
<details open><summary>iPhone and iPad</summary>
<ol><li>Allow the download, then open Settings: “Profile downloaded” stands near the top. Install it.</li>
<li>Settings, General, About, at the bottom Certificate Trust Settings: switch the studio on.</li></ol></details>
<details><summary>Android</summary>
<ol><li>Settings, Security, then Encryption and credentials (or search for “CA certificate”).</li>
<li>Install a certificate, CA certificate, Install anyway, and choose the file that was downloaded.</li></ol></details>
<details><summary>Windows, Mac, Linux</summary>
<ol><li>Windows: open the file, Install Certificate, into “Trusted Root Certification Authorities”.</li>
<li>Mac: open the file, then in Keychain Access set it to Always Trust.</li>
<li>Linux: in the browser’s settings, under Certificates, Authorities, import it for web sites.</li></ol></details>
<p>What the phone shows must read <code>${fingerprint}</code> (SHA-256), as the studio printed it when it started. It is good only for addresses of a house’s own network.</p>
<a class="key" href="${next}">3. Open the studio</a>
<p>Without trust the studio opens after a warning, and what you enter is kept and sent all the same; but the phone cannot open it without the network, ring, or stay awake.</p>
</body></html>`;

import { chromium } from 'playwright';
process.on('unhandledRejection', (e) => { console.error(e); process.exit(1); });
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox', '--disable-gpu'] });
const base = 'http://127.0.0.1:4127';
const s = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
const d = await (await s.request.get(base + '/api/for-device')).json();
const by = Object.fromEntries(d.jobs.map((j) => [j.job.number, j.job.id]));
for (const n of [1003, 1014]) for (const at of ['', '/repair', '/report']) { await s.goto(`${base}/jobs/${by[n]}${at}`); for (const t of [2000, 4000]) { await s.waitForTimeout(t); console.log(n, at, t, await s.evaluate(() => (document.body.innerText.match(/(Not yet enough to repair on|Enough to repair on|Acted on)/) ?? [])[0]), await s.evaluate(() => (document.body.innerText.match(/[<>]?\d+ ?\n? ?%/) ?? [])[0])); } }
const f = await (await s.request.get(`${base}/api/jobs/${by[1003]}/file`)).text(); (await import('node:fs')).writeFileSync('/tmp/w/1003.json', f);
await browser.close();

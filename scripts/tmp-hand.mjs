import { chromium } from 'playwright';
import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
process.on('unhandledRejection', (e) => { console.error(e); process.exit(1); });
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox', '--disable-gpu'] });
const base = 'http://127.0.0.1:4127';
const p = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
await p.goto(base); await p.waitForTimeout(2500);
const rows = await p.evaluate(() => [...document.querySelectorAll('main a[href^="/jobs/"]')].map((a) => [a.getAttribute('href').split('/')[2], (a.closest('li,tr,a') ?? a).innerText.replace(/\n+/g, ' | ')]));
const today = new Map(rows);
const d = await (await p.request.get(base + '/api/for-device')).json();
for (const { job } of d.jobs) {
  console.log('\n##', job.number, '\n today :', today.get(job.id));
  await p.goto(`${base}/jobs/${job.id}`); await p.waitForFunction(() => document.querySelector('main')?.getAttribute('aria-busy') === 'false', null, { timeout: 30000 }).catch(() => console.log('still busy'));
  await p.waitForTimeout(300);
  console.log(' bench :', await p.evaluate(() => { const q = (s) => document.querySelector(s)?.innerText.replace(/\n+/g, ' ').slice(0, 120); const s = [...document.querySelectorAll('h2')].find((e) => e.textContent === 'Suspects')?.parentElement; return [q('[data-check] h2'), q('[data-check] span'), (s?.innerText ?? '').replace(/\n+/g, ' ').slice(0, 110), /Enough to repair on/.test(document.body.innerText)]; }));
  await p.goto(`${base}/jobs/${job.id}/repair`); await p.waitForFunction(() => /Enough to repair|Not yet enough|Acted on|As it stands now|What may still/.test(document.body.innerText), null, { timeout: 30000 }).catch(() => 0);
  console.log(' repair:', await p.evaluate(() => document.querySelector('main section')?.innerText.replace(/\n+/g, ' ').slice(0, 150)));
  await p.goto(`${base}/jobs/${job.id}/report`); await p.waitForTimeout(400);
  console.log(' report:', await p.evaluate(() => { const a = document.querySelector('article'); const i = a.innerText.search(/Not decided|Nothing|Replace|Repair|The |Found/); return [...a.querySelectorAll('section h2')].slice(0, 4).map((e) => e.innerText).join(' / ').slice(0, 160) + ' || ' + (a.innerText.match(/[<>]?\d+ ?\n? ?%[^\n]*/) ?? [''])[0]; }));
  writeFileSync('/tmp/w/x.json', await (await p.request.get(`${base}/api/jobs/${job.id}/file`)).text());
  try { const j = JSON.parse(execFileSync('./ohmmeter', ['diagnose', '/tmp/w/x.json'], { encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] })); console.log(' cli   :', j.decided, j.suspects.slice(0, 2).map((s) => s.repair + ' ' + (s.probability * 100).toFixed(1)), j.next?.check ?? null, j.warnings?.map((w) => w.text?.slice(0, 60))); } catch (e) { console.log(' cli failed', e.status); }
}
await browser.close();

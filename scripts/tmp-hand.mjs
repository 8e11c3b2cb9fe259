import { chromium } from 'playwright';
process.on('unhandledRejection', (e) => { console.error(e); process.exit(1); });
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox', '--disable-gpu'] });
const base = 'http://127.0.0.1:4127';
const open = async (w, h, m = true) => (await browser.newContext({ viewport: { width: w, height: h }, hasTouch: m, isMobile: m })).newPage();
const shots = []; const snap = async (p, n) => shots.push([n, (await p.screenshot()).toString('base64')]);
const a = await open(390, 844), b = await open(1280, 800, false);
await b.goto(base); const d = await (await a.request.get(base + '/api/for-device')).json();
const by = Object.fromEntries(d.jobs.map((j) => [j.job.number, j.job.id]));
const closed = await b.evaluate(async () => [...document.querySelectorAll('a[href^="/jobs/"]')].map((x) => [x.getAttribute('href'), x.innerText]));
for (const at of ['', '/repair', '/procedures', '/temperatures']) { await a.goto(`${base}/jobs/${by[1002]}${at}`); await a.waitForTimeout(3500); await snap(a, '1002' + at); }
await b.goto(`${base}/jobs/${by[1002]}`); await b.waitForTimeout(3000); await snap(b, 'desk');
await b.getByRole('button', { name: 'Take up again' }).click(); await b.waitForTimeout(1500); await snap(b, 'taken up'); await b.goto(base); await b.waitForTimeout(1500); await snap(b, 'today');
await b.goto(base + '/?list=closed'); await b.waitForTimeout(800); 
const sheet = await (await browser.newContext({ viewport: { width: 1700, height: 1300 } })).newPage();
const draw = async (list, file) => { await sheet.setContent('<body style="margin:4px;background:#888">' + list.map(([n, b]) => `<figure style="display:inline-block;margin:4px"><figcaption>${n}</figcaption><img style="max-width:820px" src="data:image/png;base64,${b}"></figure>`).join('')); await sheet.waitForTimeout(300); await sheet.screenshot({ path: file, fullPage: true }); };
await draw(shots, '/tmp/p/a.png');
await browser.close();

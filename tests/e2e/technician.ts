import { randomUUID } from 'node:crypto';
import { expect, type Locator, type Page } from '@playwright/test';
import {
  families,
  familyOf,
  familyOfJob,
  valueQuantity,
  type ApplianceFamily,
  type NamedCheck,
} from '../../src/core/appliances/all';
import { foldEntries, type Entry, type JobFile } from '../../src/core/job-file';
import { fromKept, shownUnit, type Quantity } from '../../src/core/quantities';
import type { SimulatedAnswer, SimulatedUnit } from '../../src/core/simulation';
import { callOf, readDraft } from '../../src/features/call/call-draft';
import { capital, complaintWords } from '../../src/features/record/words';

/** Hands and eyes in the browser: everything goes through the interface that a technician has. */

export const baseUrl = () => process.env.OHMMETER_TEST_URL!;

export const isPhone = (page: Page) => (page.viewportSize()?.width ?? 0) < 600;

export interface Call {
  readonly kind: string;
  readonly customer: string;
  readonly watt?: string;
  /** Another kind of heater than the first, by its title. */
  readonly family?: string;
  /** What is typed or chosen of its plate instead of the watts, by the words on the screen. */
  readonly plate?: {
    readonly typed: Readonly<Record<string, string>>;
    readonly chosen: readonly string[];
  };
}

/**
 * Opens a job and gives its id, with its bench before the technician, or another of its pages. The call of the usual heater is
 * sent as its form sends it, that of any other is filled in: the form itself is worked in `fillCall`.
 */
export async function openJob(page: Page, call: Call, at = ''): Promise<string> {
  const isUsual = call.family === undefined && call.plate === undefined;
  const jobId = isUsual ? await sendCall(page, call) : await openByForm(page, call);
  if (!isUsual && at === '') return jobId;
  await page.goto(`${baseUrl()}/jobs/${jobId}${at}`);
  await isAwake(page);
  return jobId;
}

/** Opens a job from the call screen and gives its id. */
export async function openByForm(page: Page, call: Call): Promise<string> {
  await page.goto(`${baseUrl()}/call`);
  return fillCall(page, call);
}

async function sendCall(
  page: Page,
  { kind, customer, watt = '4500' }: Pick<Call, 'kind' | 'customer' | 'watt'>,
): Promise<string> {
  const draft = {
    ...readDraft(''),
    kind,
    customer,
    address: '5 Test Lane',
    plate: { 'watt-upper': watt },
  };
  const known = await page.request.get(`${baseUrl()}/api/for-device`);
  const { technicianId } = (await known.json()) as { technicianId: string };
  const response = await page.request.post(`${baseUrl()}/api/jobs`, {
    headers: { origin: baseUrl() },
    data: callOf(familyOf(draft.family)!, draft, technicianId, false, 'us'),
  });
  if (!response.ok()) throw new Error(`the call was not taken: ${await response.text()}`);
  return ((await response.json()) as { id: string }).id;
}

/** Fills in the call screen that is open, and gives the id of the job that it opens. */
export async function fillCall(
  page: Page,
  { kind, customer, watt = '4500', family, plate }: Call,
): Promise<string> {
  if (family !== undefined) await page.getByRole('button', { name: family, exact: true }).click();
  await page.getByRole('button', { name: capital(complaintWords[kind]!), exact: true }).click();
  await page.getByLabel('Customer', { exact: true }).fill(customer);
  await page.getByLabel('Address').fill('5 Test Lane');
  const watts = family === undefined ? 'Upper watts' : 'Watts';
  for (const name of plate?.chosen ?? []) {
    await page.getByRole('button', { name, exact: true }).click();
  }
  for (const [label, text] of Object.entries(plate?.typed ?? { [watts]: watt })) {
    await page.getByLabel(label, { exact: true }).fill(text);
  }
  await page.getByRole('button', { name: 'Open the job' }).click();
  await page.waitForURL(/\/jobs\/[0-9a-f-]{36}$/);
  return page.url().split('/').at(-1)!;
}

/** Where a job is read from. */
type ReadJob = (page: Page, jobId: string) => Promise<JobFile>;

/** What this device keeps of a job: as the server last had it, and what was written here since. */
const keptOnDevice = (page: Page, jobId: string) =>
  page.evaluate(async (id) => {
    const ask = <T>(request: IDBRequest<T>) =>
      new Promise<T>((resolve, reject) => {
        request.onsuccess = () => resolve(request.result);
        request.onerror = () => reject(new Error(String(request.error)));
      });
    const database = await ask(indexedDB.open('ohmmeter'));
    if (!database.objectStoreNames.contains('entries')) {
      database.close();
      return { job: undefined, own: [] };
    }
    const store = (name: string) => database.transaction(name).objectStore(name);
    const own = await ask<{ jobId: string; order: number; state: string; entry: Entry }[]>(
      store('entries').getAll(),
    );
    const { job } = (await ask<{ job: JobFile } | undefined>(store('calls').get(id))) ??
      (await ask<{ job: JobFile } | undefined>(store('jobs').get(id))) ?? { job: undefined };
    database.close();
    return {
      job,
      own: own
        .filter((each) => each.jobId === id)
        .sort((one, other) => one.order - other.order)
        .map(({ state, entry }) => ({ state, entry })),
    };
  }, jobId);

/** The job as this device has it, sent or not. */
export const jobOnDevice: ReadJob = async (page, jobId) => {
  const { job, own } = await keptOnDevice(page, jobId);
  if (!job) throw new Error('this device has no such job');
  const known = new Set(job.entries.map((entry) => entry.id));
  const fresh = own.map(({ entry }) => entry).filter((entry) => !known.has(entry.id));
  return { ...job, entries: [...job.entries, ...fresh] };
};

/**
 * The job as the server has it, once this device keeps nothing of it that waits. What the page says is waiting
 * is not asked: it may not stand there yet.
 */
export async function sentJob(page: Page, jobId: string): Promise<JobFile> {
  const waits = async () => {
    const { own } = await keptOnDevice(page, jobId);
    return own.filter(({ state }) => state === 'waiting').map(({ entry }) => entry.id);
  };
  await expect.poll(waits, { message: 'entries that wait', timeout: 30_000 }).toEqual([]);
  // A server closes a connection that has been idle; the one request that meets this is asked again.
  const response = await page.request.get(`${baseUrl()}/api/jobs/${jobId}/file`, {
    maxRetries: 2,
  });
  return (await response.json()) as JobFile;
}

/** Writes into a job past the page that is looked at, as another device of the firm does. */
export async function enterElsewhere(page: Page, jobId: string, entry: object): Promise<void> {
  const response = await page.request.post(`${baseUrl()}/api/jobs/${jobId}/entries`, {
    headers: { origin: baseUrl() },
    data: { entries: [{ id: randomUUID(), at: new Date().toISOString(), ...entry }] },
  });
  expect(response.ok(), await response.text()).toBe(true);
}

/** A tap before a page answers is held, and dropped where its button then says something else: who tests waits. */
export const isAwake = (page: Page) =>
  page.locator('html[data-awake]').waitFor({ timeout: 60_000 });

/** What may be done and with what, opened as the technician does, from the reasons of the check. */
export async function openLimits(page: Page): Promise<Locator> {
  await isAwake(page);
  await page.getByRole('button', { name: /Why this one/ }).click();
  await page.getByRole('button', { name: /Order, live work/ }).click();
  return page.getByRole('dialog', { name: 'What may be done, and with what' });
}

/** The check on the bench, or undefined once there is a verdict in its place. */
export async function currentCheck(page: Page): Promise<string | undefined> {
  await isAwake(page);
  await page.locator('main[aria-busy=false]').waitFor();
  await page.locator('[data-check], section[aria-label=Verdict]').first().waitFor();
  const panel = page.locator('[data-check]');
  if ((await panel.count()) === 0) return undefined;
  const check = (await panel.getAttribute('data-check')) ?? '';
  if (!families.some((each) => each.isCheckId(check)))
    throw new Error(`the bench shows "${check}", which is no check`);
  return check;
}

/** Does something that makes an entry, and waits until the bench has worked out what follows from it. */
export async function andEntered(page: Page, act: () => Promise<void>): Promise<void> {
  const main = page.locator('main[data-entries]');
  const before = Number(await main.getAttribute('data-entries'));
  await act();
  await page.waitForFunction(
    (count) =>
      Number(document.querySelector('main[data-entries]')?.getAttribute('data-entries')) > count,
    before,
    { timeout: 40_000 },
  );
  await page.locator('main[aria-busy=false]').waitFor();
}

/** Does the steps that the check still needs, by tapping each. */
export async function doSteps(page: Page): Promise<void> {
  for (let k = 0; k < 12; k++) {
    const step = page.locator('[data-check] li button').first();
    if ((await page.locator('[data-check] li button').count()) === 0) return;
    const words = (await step.textContent()) ?? '';
    await andEntered(page, async () => {
      await step.click();
      if (words.includes('prove dead')) await proveDead(page);
    });
    await page
      .locator('[data-check] li button')
      .filter({ hasText: words })
      .first()
      .waitFor({ state: 'detached' });
  }
}

/** Each point read by itself, and the prover tried on both sides: the volts of the first may be others. */
export async function proveDead(page: Page, { volts }: { volts?: string } = {}): Promise<void> {
  const dialog = page.getByRole('dialog', { name: 'Make safe' });
  await dialog.getByRole('button', { name: 'before and after', exact: true }).click();
  for (const point of await dialog.getByRole('button', { name: /: 0 V$/ }).all()) {
    await point.click();
  }
  if (volts !== undefined) await dialog.getByRole('textbox').first().fill(volts);
  await dialog.getByRole('button', { name: 'Enter what was read' }).click();
  if (volts === undefined) await expect(page.getByText(/^proved dead \d\d:\d\d/)).toBeVisible();
}

/** Another check than the one that is proposed, by its label. */
export async function chooseCheck(page: Page, label: string): Promise<void> {
  await currentCheck(page);
  await page
    .getByRole('button', { name: isPhone(page) ? 'Others' : 'Other check', exact: true })
    .click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: new RegExp(`^(live )?${label}( look)?$`) })
    .last()
    .click();
  await expect(page.getByRole('heading', { name: label })).toBeVisible();
}

/** Enters what the simulated unit gives for the check on the bench. */
export async function answerCheck(
  page: Page,
  jobId: string,
  check: string,
  unit: SimulatedUnit,
  read: ReadJob = sentJob,
): Promise<void> {
  await doSteps(page);
  const job = await read(page, jobId);
  const family = familyOfJob(job);
  const present = family.readingState(foldEntries(job.entries, family.catalogue));
  const state = family.impliedState(check, present);
  await enterAnswer(page, family, check, unit.answer(check, state));
}

export async function enterAnswer(
  page: Page,
  family: ApplianceFamily,
  check: string,
  answer: SimulatedAnswer,
): Promise<void> {
  if (answer.kind === 'outcome') {
    // A code is tapped as the list of its make shows it.
    const code =
      family.codes?.check === check
        ? family.codes.pack.codes.find(({ saw }) => saw === answer.outcome)
        : undefined;
    const words = code?.shows ?? family.checks[check]!.answers![answer.outcome]!;
    const found = page.getByRole('group', { name: 'What you found' });
    await andEntered(page, () =>
      found.getByRole('button', { name: capital(words), exact: true }).click(),
    );
    return;
  }
  if (answer.kind === 'values') {
    const named = family.check(check);
    for (const [key, value] of Object.entries(answer.values)) {
      const quantity = valueQuantity(named, key)!;
      const shown = keysOf(
        quantity,
        Number.isFinite(value) ? { kind: 'number', value } : { kind: 'over-range' },
      );
      await page.getByRole('textbox', { name: valueLabel(named, key) }).fill(shown);
    }
    await andEntered(page, () => page.getByRole('button', { name: /^Enter (both|all)$/ }).click());
    return;
  }
  await pressKeys(page, keysOf(family.check(check).quantity, answer));
  await andEntered(page, () => page.getByRole('button', { name: /^Enter/ }).click());
}

/** How one of several values is called on its field. */
const valueLabel = (named: NamedCheck, key: string): RegExp =>
  new RegExp(`^${capital(named.valueWords?.[key] ?? key)}\\s*, in`);

export function keysOf(
  quantity: string | undefined,
  answer: Exclude<SimulatedAnswer, { kind: 'outcome' | 'values' }>,
): string {
  if (answer.kind === 'over-range') return 'OL';
  if (quantity === undefined) throw new Error('a check that is not measured takes no number');
  // As a reader of US units has it on the meter, but ohms, of which the unit depends on the size.
  const shown =
    quantity === 'resistance'
      ? answer.value
      : fromKept(answer.value, shownUnit(quantity as Quantity, 'us'));
  const size = Math.abs(shown);
  return shown.toFixed(size < 10 ? 2 : size < 1000 ? 1 : 0);
}

export async function pressKeys(page: Page, text: string): Promise<void> {
  // On a phone the keys make room for the steps until they are asked for.
  const ask = page.getByRole('button', { name: 'Type what the meter shows' });
  if (isPhone(page) && (await ask.isVisible())) await ask.click();
  const keypad = page.getByRole('group', { name: 'Keypad' });
  if (text === 'OL') {
    await keypad.getByRole('button', { name: 'OL, over range' }).click();
    return;
  }
  for (const key of text) {
    const name = key === '.' ? 'decimal point' : key === '-' ? 'below nought' : key;
    await keypad.getByRole('button', { name, exact: true }).click();
  }
}

/** Takes the checks that Ohmmeter asks for, as the unit answers them, until there is a verdict. Gives the checks. */
export async function workOut(
  page: Page,
  jobId: string,
  unit: SimulatedUnit,
  read: ReadJob = sentJob,
): Promise<string[]> {
  const taken: string[] = [];
  while (taken.length < mostChecks) {
    const check = await currentCheck(page);
    if (!check) return taken;
    taken.push(check);
    await answerCheck(page, jobId, check, unit, read);
  }
  throw new Error(`no verdict after ${taken.join(', ')}`);
}

const mostChecks = 30;

/** From the repair page: acts on the verdict that leads, with a glove that taps twice, and does what it asks for. */
export async function repairAsTold(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Act on this verdict' }).click({ clickCount: 2 });
  await expect(page.getByRole('button', { name: 'Repair is done' })).toBeVisible();
  await makeSafeIfNeeded(page);
  await handleWires(page);
  await page.getByRole('button', { name: 'Repair is done' }).click();
  await expect(page.getByText('One of these must now be right')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Repair is done' })).toHaveCount(0);
}

/** Puts every wire back that a reading left lifted, on the repair page, dead as it has to be. */
export async function putBack(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { name: 'Proof, settings, closing' })).toBeVisible();
  if ((await page.getByRole('button', { name: /: back on / }).count()) === 0) return;
  await makeSafeIfNeeded(page);
  await handleWires(page);
}

async function makeSafeIfNeeded(page: Page): Promise<void> {
  const makeSafe = page.getByRole('button', { name: /Make safe|Prove dead/ });
  if ((await makeSafe.count()) === 0) return;
  await makeSafe.click();
  await proveDead(page);
}

const mostWires = 8;

/** Lifts each wire of the repair with its colour noted, then puts every lifted one back. */
export async function handleWires(page: Page): Promise<void> {
  for (let k = 0; k < mostWires; k++) {
    const lift = page.getByRole('button', { name: /: lift$/ });
    if ((await lift.count()) === 0) break;
    const before = await lift.count();
    const colour = page.getByPlaceholder('colour').first();
    if ((await colour.count()) > 0) await colour.fill('red');
    await lift.first().click();
    await lift.nth(before - 1).waitFor({ state: 'detached' });
  }
  const back = page.getByRole('button', { name: /: back on / });
  for (let left = await back.count(); left > 0; left--) {
    await back.first().click();
    await back.nth(left - 1).waitFor({ state: 'detached' });
  }
}

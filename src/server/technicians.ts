import { v7 as newId, validate as isUuid } from 'uuid';
import type { FirmTransaction } from '../database/client';
import {
  insertTechnician,
  listTechnicians,
  updateTechnician,
  type Technician,
} from '../database/technicians';
import { NotFound, Refused } from './errors';
import { usualInstruments } from './usual-instruments';

/** What is said of somebody who works here. */
type Said = Pick<Technician, 'name' | 'licence' | 'liveWork' | 'gasWork'>;

const longestText = 200;
/** A firm of two hundred has room to grow. */
const mostTechnicians = 1000;

/**
 * Somebody more works here.
 * @throws Refused for a name that is missing, too long, or somebody else's already.
 */
export async function addTechnician(
  transaction: FirmTransaction,
  organisationId: string,
  sent: unknown,
): Promise<Technician> {
  const there = await listTechnicians(transaction);
  if (there.length >= mostTechnicians) {
    const message = `There are ${mostTechnicians} people already. Change one of them.`;
    throw new Refused([{ pointer: '', message }]);
  }
  const said = readSaid(sent, there);
  const row = { ...said, organisationId, id: newId(), instruments: usualInstruments };
  await insertTechnician(transaction, row);
  return row;
}

/**
 * Changes what is said of somebody: what was entered by then stays theirs, and is allowed as it was.
 * @throws NotFound for somebody who does not work here; Refused as `addTechnician` does.
 */
export async function changeTechnician(
  transaction: FirmTransaction,
  id: string,
  sent: unknown,
): Promise<Technician> {
  const there = await listTechnicians(transaction);
  const found = there.find((each) => isUuid(id) && each.id === id.toLowerCase());
  if (!found) throw new NotFound('This firm has no such technician.');
  const said = readSaid(
    sent,
    there.filter((each) => each !== found),
  );
  await updateTechnician(transaction, found.id, said);
  return { ...found, ...said };
}

function readSaid(sent: unknown, others: readonly Technician[]): Said {
  const { name, licence, liveWork, gasWork } = (
    typeof sent === 'object' && sent !== null ? sent : {}
  ) as Readonly<Record<string, unknown>>;
  const problems: { pointer: string; message: string }[] = [];
  const problem = (pointer: string, message: string) => problems.push({ pointer, message });
  const text = typeof name === 'string' ? name.trim() : '';
  if (text === '') problem('/name', 'Who is it? A name is enough.');
  else if (text.length > longestText) problem('/name', `At most ${longestText} characters.`);
  else if (others.some((each) => isSameName(each.name, text))) {
    problem('/name', 'Somebody of this name works here already. Say who is meant.');
  }
  const paper = typeof licence === 'string' ? licence.trim() : '';
  if (paper.length > longestText) problem('/licence', `At most ${longestText} characters.`);
  // Left out is not allowed.
  for (const [key, value] of Object.entries({ liveWork, gasWork })) {
    if (value !== undefined && typeof value !== 'boolean') problem(`/${key}`, 'Yes or no.');
  }
  if (problems.length > 0) throw new Refused(problems);
  return {
    name: text,
    licence: paper || null,
    liveWork: liveWork === true,
    gasWork: gasWork === true,
  };
}

const isSameName = (one: string, other: string) =>
  one.localeCompare(other, undefined, { sensitivity: 'accent' }) === 0;

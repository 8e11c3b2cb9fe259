import { v7 as newId, validate as isUuid } from 'uuid';
import type { FirmTransaction } from '../database/client';
import {
  insertTechnician,
  insertTechnicianChange,
  listTechnicianChanges,
  listTechnicians,
  lockTechnicians,
  updateTechnician,
  type SaidOfTechnician,
  type Technician,
  type TechnicianChange,
} from '../database/technicians';
import { NotFound, Refused } from './errors';
import type { Author } from './in-firm';
import { usualInstruments } from './usual-instruments';

const longestText = 200;
/** A firm of two hundred has room to grow. */
const mostTechnicians = 1000;

/**
 * Somebody more works here.
 * @throws Refused for a name that is missing, too long, or somebody else's already.
 */
export async function addTechnician(
  transaction: FirmTransaction,
  author: Author,
  sent: unknown,
): Promise<Technician> {
  const { organisationId } = author;
  await lockTechnicians(transaction, organisationId);
  const there = await listTechnicians(transaction);
  if (there.length >= mostTechnicians) {
    const message = `There are ${mostTechnicians} people already. Change one of them.`;
    throw new Refused([{ pointer: '', message }]);
  }
  const said = readSaid(sent, there);
  const row = { ...said, organisationId, id: newId(), instruments: usualInstruments };
  await insertTechnician(transaction, row);
  await writeDown(transaction, author, row.id, said);
  return row;
}

/**
 * Changes what is said of somebody: what was entered by then stays theirs, and is allowed as it was.
 * @throws NotFound for somebody who never worked here; Refused as `addTechnician` does, and where nobody would be left.
 */
export async function changeTechnician(
  transaction: FirmTransaction,
  author: Author,
  id: string,
  sent: unknown,
): Promise<Technician> {
  await lockTechnicians(transaction, author.organisationId);
  const there = await listTechnicians(transaction);
  const found = there.find((each) => isUuid(id) && each.id === id.toLowerCase());
  if (!found) throw new NotFound('This firm has no such technician.');
  const others = there.filter((each) => each !== found);
  const said = readSaid(sent, others);
  if (said.hasLeft && others.every((each) => each.hasLeft)) {
    const message = 'Nobody would work here then. Add somebody first.';
    throw new Refused([{ pointer: '/hasLeft', message }]);
  }
  await updateTechnician(transaction, found.id, said);
  await writeDown(transaction, author, found.id, said);
  return { ...found, ...said };
}

/** Nobody signs in here: it is written down who was chosen on the device that said it. */
const writeDown = (
  transaction: FirmTransaction,
  { organisationId, technician }: Author,
  technicianId: string,
  said: SaidOfTechnician,
): Promise<void> =>
  insertTechnicianChange(transaction, {
    organisationId,
    id: newId(),
    technicianId,
    byName: technician.name,
    said,
  });

const mostChanges = 100;

/** Everybody who works here or did, and what was last said of them. */
export async function readPeople(transaction: FirmTransaction): Promise<People> {
  return {
    technicians: await listTechnicians(transaction),
    changes: await listTechnicianChanges(transaction, mostChanges),
  };
}

export interface People {
  readonly technicians: readonly Technician[];
  /** The newest first. */
  readonly changes: readonly TechnicianChange[];
}

function readSaid(sent: unknown, others: readonly Technician[]): SaidOfTechnician {
  const { name, licence, liveWork, gasWork, hasLeft } = (
    typeof sent === 'object' && sent !== null ? sent : {}
  ) as Readonly<Record<string, unknown>>;
  const problems: { pointer: string; message: string }[] = [];
  const problem = (pointer: string, message: string) => problems.push({ pointer, message });
  const text = typeof name === 'string' ? name.trim() : '';
  if (text === '') problem('/name', 'Who is it? A name is enough.');
  else if (text.length > longestText) problem('/name', `At most ${longestText} characters.`);
  else if (
    hasLeft !== true &&
    others.some((each) => !each.hasLeft && isSameName(each.name, text))
  ) {
    problem('/name', 'Somebody of this name works here already. Say who is meant.');
  }
  const paper = typeof licence === 'string' ? licence.trim() : '';
  if (paper.length > longestText) problem('/licence', `At most ${longestText} characters.`);
  // A permission that is left out is none.
  for (const [key, value] of Object.entries({ liveWork, gasWork, hasLeft })) {
    if (value !== undefined && typeof value !== 'boolean') problem(`/${key}`, 'Yes or no.');
  }
  if (problems.length > 0) throw new Refused(problems);
  return {
    name: text,
    licence: paper || null,
    liveWork: liveWork === true,
    gasWork: gasWork === true,
    hasLeft: hasLeft === true,
  };
}

const isSameName = (one: string, other: string) =>
  one.localeCompare(other, undefined, { sensitivity: 'accent' }) === 0;

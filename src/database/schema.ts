import {
  boolean,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import type { CodePack } from '../core/codes';
import type { Entry, JobFile, Plate, Services } from '../core/job-file';
import type { FirmPrices } from '../core/replacement';
import type { Circumstance, FirmIntervals, LastServed } from '../core/service';
import type { Standing } from '../core/job-diagnosis/standing';

/**
 * Every row of a firm carries the firm first in its key, and so does every reference: a foreign-key check passes by
 * row-level security, and a globally unique id would betray another firm's row. Policies and grants are in the
 * hand-written migration beside the generated one.
 */

const instant = (name: string) => timestamp(name, { withTimezone: true, mode: 'date' });

export const organisations = pgTable('organisations', {
  id: uuid('id').primaryKey(),
  name: text('name').notNull(),
  address: text('address').notNull(),
  unitSystem: text('unit_system', { enum: ['metric', 'us'] }).notNull(),
  timeZone: text('time_zone').notNull(),
  /** Which way the firm goes where good practitioners disagree, by school; the usual way where it says nothing. */
  schools: jsonb('schools').$type<Readonly<Record<string, string>>>().notNull().default({}),
  /** Months after which a service is due, where the firm has its own. */
  intervals: jsonb('intervals').$type<FirmIntervals>().notNull().default({}),
  prices: jsonb('prices').$type<FirmPrices>().notNull().default({}),
  createdAt: instant('created_at').notNull().defaultNow(),
});

const firm = {
  organisationId: uuid('organisation_id')
    .notNull()
    .references(() => organisations.id),
  id: uuid('id').notNull(),
};

export const technicians = pgTable(
  'technicians',
  {
    ...firm,
    name: text('name').notNull(),
    licence: text('licence'),
    liveWork: boolean('live_work').notNull().default(false),
    gasWork: boolean('gas_work').notNull().default(false),
    /** Works here no longer: cannot be chosen; what they entered stays theirs. */
    hasLeft: boolean('has_left').notNull().default(false),
    instruments: jsonb('instruments').$type<NonNullable<JobFile['instruments']>>().notNull(),
  },
  (table) => [primaryKey({ columns: [table.organisationId, table.id] })],
);

/** What was said of somebody who works here, when, and by whom. The application may add to it and read it; nothing else. */
export const technicianChanges = pgTable(
  'technician_changes',
  {
    ...firm,
    technicianId: uuid('technician_id').notNull(),
    at: instant('at').notNull().defaultNow(),
    /** Who was chosen on the device that said it. */
    byName: text('by_name').notNull(),
    said: jsonb('said').$type<SaidOfTechnician>().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.organisationId, table.id] }),
    foreignKey({
      columns: [table.organisationId, table.technicianId],
      foreignColumns: [technicians.organisationId, technicians.id],
    }),
    index('technician_changes_newest').on(table.organisationId, table.at),
  ],
);

/** What is said of somebody who works here. */
export type SaidOfTechnician = Pick<
  typeof technicians.$inferSelect,
  'name' | 'licence' | 'liveWork' | 'gasWork' | 'hasLeft'
>;

export const customers = pgTable(
  'customers',
  { ...firm, name: text('name').notNull(), phone: text('phone') },
  (table) => [primaryKey({ columns: [table.organisationId, table.id] })],
);

export type SiteServices = Services;

export const sites = pgTable(
  'sites',
  {
    ...firm,
    customerId: uuid('customer_id').notNull(),
    address: text('address').notNull(),
    /** What the house feeds its units with, as a job file has it: electricity, gas, water. */
    services: jsonb('services').$type<SiteServices>().notNull().default({}),
  },
  (table) => [
    primaryKey({ columns: [table.organisationId, table.id] }),
    foreignKey({
      columns: [table.organisationId, table.customerId],
      foreignColumns: [customers.organisationId, customers.id],
    }),
    index('sites_by_customer').on(table.organisationId, table.customerId),
  ],
);

export const units = pgTable(
  'units',
  {
    ...firm,
    siteId: uuid('site_id').notNull(),
    family: text('family').notNull(),
    make: text('make'),
    model: text('model'),
    serial: text('serial'),
    manufactured: text('manufactured'),
    installed: text('installed'),
    plate: jsonb('plate').$type<Plate>().notNull(),
    /** When each service was last done, over all jobs on it. */
    served: jsonb('served').$type<LastServed>().notNull().default({}),
    /** What makes a service due sooner, as the jobs on it saw it last. */
    circumstances: jsonb('circumstances').$type<Circumstance[]>().notNull().default([]),
    /** When the first of them is due: for the list of what comes due. */
    nextDue: instant('next_due'),
  },
  (table) => [
    primaryKey({ columns: [table.organisationId, table.id] }),
    foreignKey({
      columns: [table.organisationId, table.siteId],
      foreignColumns: [sites.organisationId, sites.id],
    }),
    index('units_by_site').on(table.organisationId, table.siteId),
    index('units_due').on(table.organisationId, table.nextDue),
  ],
);

/** Packs of codes that a firm brought in or changed, by their own id. */
export const codePacks = pgTable(
  'code_packs',
  {
    organisationId: firm.organisationId,
    packId: text('pack_id').notNull(),
    family: text('family').notNull(),
    content: jsonb('content').$type<CodePack>().notNull(),
    /** Counts its changes: who changes it says which one was seen. */
    revision: integer('revision').notNull().default(1),
    updatedAt: instant('updated_at').notNull().defaultNow(),
  },
  (table) => [primaryKey({ columns: [table.organisationId, table.packId] })],
);

export const jobs = pgTable(
  'jobs',
  {
    ...firm,
    number: integer('number').notNull(),
    unitId: uuid('unit_id').notNull(),
    technicianId: uuid('technician_id').notNull(),
    openedAt: instant('opened_at').notNull(),
    timeZone: text('time_zone').notNull(),
    complaint: jsonb('complaint').$type<NonNullable<JobFile['complaint']>>().notNull(),
    constraints: jsonb('constraints').$type<NonNullable<JobFile['constraints']>>().notNull(),
    /** What the job stands at, worked out from its entries each time some arrive: for lists, never for decisions. */
    standing: jsonb('standing').$type<Standing>().notNull(),
    /** What a file that was taken in says beside this: other firms' people, visits, instruments, extensions. */
    envelope: jsonb('envelope').$type<Omit<JobFile, 'entries'>>(),
    isOpen: boolean('is_open').notNull().default(true),
  },
  (table) => [
    primaryKey({ columns: [table.organisationId, table.id] }),
    foreignKey({
      columns: [table.organisationId, table.unitId],
      foreignColumns: [units.organisationId, units.id],
    }),
    foreignKey({
      columns: [table.organisationId, table.technicianId],
      foreignColumns: [technicians.organisationId, technicians.id],
    }),
    uniqueIndex('jobs_by_number').on(table.organisationId, table.number),
    // With the id: a list that has come far is counted off in the index alone.
    index('jobs_open').on(table.organisationId, table.isOpen, table.openedAt, table.id),
    index('jobs_by_unit').on(table.organisationId, table.unitId),
  ],
);

/** The logbook. The application may add to it and read it; nothing else. */
export const entries = pgTable(
  'entries',
  {
    ...firm,
    jobId: uuid('job_id').notNull(),
    /** Order of receipt within the job, given under the lock of the job's row. */
    sequence: integer('sequence').notNull(),
    at: instant('at').notNull(),
    kind: text('kind').notNull(),
    body: jsonb('body').$type<Entry>().notNull(),
    receivedAt: instant('received_at').notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.organisationId, table.id] }),
    foreignKey({
      columns: [table.organisationId, table.jobId],
      foreignColumns: [jobs.organisationId, jobs.id],
    }),
    uniqueIndex('entries_by_sequence').on(table.organisationId, table.jobId, table.sequence),
  ],
);

/**
 * Words by which jobs and units are found, as core/search makes them. A table of its own, since an index for full text is of
 * no use under row-level security: its operators might tell what they saw, so that PostgreSQL runs them after the policy.
 * Plain comparison of text may run before it.
 */
export const searchWords = pgTable(
  'search_words',
  {
    organisationId: firm.organisationId,
    kind: text('kind', { enum: ['job', 'unit'] }).notNull(),
    word: text('word').notNull(),
    subjectId: uuid('subject_id').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.organisationId, table.kind, table.word, table.subjectId] }),
    index('search_words_of').on(table.organisationId, table.kind, table.subjectId, table.word),
  ],
);

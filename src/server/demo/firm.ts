import type { NewCall } from '../open-call';

/** Everything here is invented: the firm, the town, the people, the makes and the models. */
export const demoFirm = {
  name: 'Larkmoor Hot Water',
  address: '3 Foundry Row, Pennick Falls',
  unitSystem: 'us',
  timeZone: 'America/Toronto',
} as const;

export const demoTechnicians = [
  {
    key: 'ines',
    name: 'Ines Aldous',
    licence: 'PF-4471',
    liveWork: true,
    gasWork: true,
    leadOhm: 0.2,
  },
  {
    key: 'teo',
    name: 'Teo Marrable',
    licence: 'PF-4502',
    liveWork: true,
    gasWork: true,
    leadOhm: 0.3,
  },
  {
    key: 'wren',
    name: 'Wren Oduya',
    licence: 'apprentice',
    liveWork: false,
    gasWork: false,
    leadOhm: 0.2,
  },
] as const;

export type DemoTechnician = (typeof demoTechnicians)[number]['key'];

export interface DemoJob {
  readonly technician: DemoTechnician;
  readonly hoursAgo: number;
  readonly unit: NonNullable<NewCall['newUnit']>;
  /** The hidden fault, and the seed of everything else about the simulated unit. */
  readonly fault: string;
  readonly seed: number;
  /** How far it has come. */
  readonly until:
    | { readonly stage: 'call' }
    | {
        readonly stage: 'diagnose';
        readonly checks: number;
        readonly slip?: boolean;
        /** Checks that were taken beside those. */
        readonly also?: readonly string[];
      }
    | { readonly stage: 'watched'; readonly minutes: number }
    /** Its radiators listed, warmed up and read once; and the seed of the house. */
    | { readonly stage: 'balanced'; readonly house: number; readonly rooms: readonly string[] }
    /** Its mixing valve read as found, and opened so many eighths. */
    | { readonly stage: 'mixed'; readonly steps: number }
    /** With checks that were taken beside those that it needed. */
    | { readonly stage: 'decided'; readonly also?: readonly string[] }
    | { readonly stage: 'waiting'; readonly reason: string }
    | { readonly stage: 'closed' };
}

const plate = (volt: number, upper: number, lower: number, litre: number) => ({
  rated: { volt },
  elements: { upper: { watt: upper }, lower: { watt: lower } },
  volume: { litre },
});

const site = (customer: string, address: string) => ({
  family: 'electric-storage-two-element',
  customer,
  address: `${address}, Pennick Falls`,
  services: { supply: { system: 'split-phase', nominal: { volt: 240 } } },
});

/** A heat pump of an invented make, with its cylinder. */
const pumped = (customer: string, address: string) => ({
  family: 'heat-pump-cylinder',
  customer,
  address: `${address}, Pennick Falls`,
  services: {},
  make: 'Orrin',
  model: 'H8',
  plate: {
    heatPump: { watt: 8000 },
    rated: { volt: 230 },
    flowLimit: { celsius: 60 },
    immersion: { watt: 3000 },
    volume: { litre: 200 },
    buffer: { litre: 50 },
  },
});

const smallPlate = (volt: number, watt: number, litre: number) => ({
  rated: { volt },
  elements: { only: { watt } },
  volume: { litre },
});

const gasSite = (customer: string, address: string) => ({
  family: 'gas-storage-pilot',
  customer,
  address: `${address}, Pennick Falls`,
  services: { gas: { kind: 'natural-gas' as const } },
});

const gasPlate = (valve: 'thermocouple' | 'thermopile', watt: number, litre: number) => ({
  fuel: 'natural-gas',
  valve,
  input: { watt, basis: 'gross' as const },
  volume: { litre },
  arrangement: 'single',
  combustion: 'sealed',
  rollOut: 'in-lead',
});

/** What plates of boilers with zones say beside their volts and watts. */
const usualZoned = {
  mixingValve: true,
  ignition: 'spark',
  sensorCurve: 'ntc-10k-3977',
  emitter: 'radiator',
  zoning: 'pumps',
} as const;

const burnerSite = (family: string, customer: string, address: string) => ({
  ...gasSite(customer, address),
  family,
});

const kettleCorner = {
  ...site('The Kettle Corner', '5 Weir Steps'),
  family: 'electric-storage-one-element',
};
const falkner = site('Bea Falkner', '22 Quarry Lane');
const quist = site('Morten Quist', '9 Tollgate Road');
const laundry = site('Otter Lane Laundry', '1 Otter Lane');
const sandoval = site('Rosa Sandoval-Price', '140 Upper Mill Street');
const reading = site('Halloway Reading Rooms', 'Chapel Square');

export const demoJobs: readonly DemoJob[] = [
  {
    technician: 'ines',
    hoursAgo: 27,
    unit: {
      ...laundry,
      make: 'Veldane',
      model: 'V66',
      serial: '66-20417',
      installed: '2017-03',
      plate: plate(240, 5500, 5500, 250),
    },
    fault: 'upper-element.earthed',
    seed: 9,
    until: { stage: 'closed' },
  },
  {
    technician: 'teo',
    hoursAgo: 25,
    unit: {
      ...sandoval,
      make: 'Orrin',
      model: '50T',
      serial: 'OT-118832',
      installed: '2015-10',
      plate: plate(240, 4500, 4500, 189),
    },
    fault: 'lower-element.open',
    seed: 23,
    until: { stage: 'waiting', reason: 'Element 4500 W, 240 V ordered, here on Thursday' },
  },
  {
    technician: 'ines',
    hoursAgo: 4,
    unit: {
      ...reading,
      make: 'Hask',
      model: '190 D',
      serial: 'H190-0457',
      installed: '2019-06',
      plate: plate(240, 3800, 3800, 189),
    },
    fault: 'upper-thermostat.never-closes',
    seed: 31,
    until: { stage: 'decided' },
  },
  {
    technician: 'ines',
    hoursAgo: 2,
    unit: {
      ...falkner,
      make: 'Orrin',
      model: '40T',
      serial: 'OT-203311',
      installed: '2018-01',
      plate: plate(240, 4500, 4500, 151),
    },
    fault: 'w-lower-a.open',
    seed: 2,
    until: { stage: 'diagnose', checks: 4, slip: true },
  },
  {
    technician: 'wren',
    hoursAgo: 1.5,
    unit: {
      ...quist,
      make: 'Veldane',
      model: 'V50',
      serial: '50-88120',
      installed: '2021-09',
      plate: plate(240, 4500, 4500, 189),
    },
    fault: 'dials.unequal',
    seed: 1,
    until: { stage: 'diagnose', checks: 2 },
  },
  {
    technician: 'teo',
    hoursAgo: 0.4,
    unit: {
      ...laundry,
      make: 'Veldane',
      model: 'V66',
      serial: '66-20418',
      installed: '2017-03',
      plate: plate(240, 5500, 5500, 250),
    },
    fault: 'splice-1.open',
    seed: 61,
    until: { stage: 'call' },
  },
  {
    technician: 'ines',
    hoursAgo: 2,
    unit: {
      ...kettleCorner,
      make: 'Tarn',
      model: 'U10',
      serial: 'TN-30911',
      installed: '2019-05',
      plate: smallPlate(120, 1500, 10),
      services: { supply: { system: 'single-phase', nominal: { volt: 120 } } },
    },
    fault: 'thermostat.never-closes',
    seed: 12,
    until: { stage: 'diagnose', checks: 2 },
  },
  {
    technician: 'ines',
    hoursAgo: 3,
    unit: {
      ...gasSite('Lintel House Flats', '3 Saddlers Yard'),
      make: 'Harrow',
      model: 'G50E',
      serial: 'HW-77120',
      installed: '2021-10',
      plate: gasPlate('thermopile', 11_700, 189),
    },
    fault: 'joint.loose',
    seed: 21,
    until: { stage: 'diagnose', checks: 5 },
  },
  {
    technician: 'teo',
    hoursAgo: 29,
    unit: {
      ...gasSite('Odile Marchbanks', '17 Cooper Row'),
      make: 'Harrow',
      model: 'G40',
      serial: 'HW-40883',
      installed: '2018-02',
      plate: gasPlate('thermocouple', 11_700, 151),
    },
    fault: 'thermocouple.worn',
    seed: 7,
    until: { stage: 'closed' },
  },
  {
    technician: 'teo',
    hoursAgo: 4,
    unit: {
      ...site('Ottilie Brackenridge', '8 Lock Cottages'),
      make: 'Veldane',
      model: 'V50',
      serial: '50-33190',
      installed: '2020-08',
      plate: plate(240, 4500, 4500, 189),
    },
    fault: 'lower-element.open',
    seed: 3,
    until: { stage: 'watched', minutes: 90 },
  },
  {
    technician: 'ines',
    hoursAgo: 5,
    unit: {
      ...burnerSite('combi-boiler', 'Marlow Quay Flats', '2 Ropewalk'),
      make: 'Corvell',
      model: 'K26',
      serial: 'K26-55031',
      installed: '2017-11',
      plate: {
        fuel: 'natural-gas',
        input: { watt: 26_500, basis: 'gross' as const },
        keepWarm: 'fixed',
        primaryHose: true,
      },
    },
    fault: 'plate.blocked',
    seed: 3,
    until: { stage: 'watched', minutes: 2 },
  },
  {
    technician: 'teo',
    hoursAgo: 6,
    unit: {
      ...burnerSite('tankless-gas', 'Sable & Finch Bakery', '31 Upper Mill Street'),
      make: 'Tarn',
      model: 'Q44',
      serial: 'TQ-44702',
      installed: '2022-04',
      plate: {
        fuel: 'natural-gas',
        input: { watt: 44_000, basis: 'gross' as const },
        condensing: true,
        recirculation: false,
      },
    },
    fault: 'strainer.blocked',
    seed: 5,
    until: { stage: 'diagnose', checks: 4 },
  },
  {
    technician: 'ines',
    hoursAgo: 3.5,
    unit: {
      ...burnerSite('system-boiler', 'Hallam Terrace', '9 Weir Street'),
      make: 'Corvell',
      model: 'S24',
      serial: 'S24-10877',
      installed: '2014-10',
      plate: {
        fuel: 'natural-gas',
        input: { watt: 24_000, basis: 'gross' as const },
        rated: { volt: 230 },
        cylinderControl: 'aquastat',
        cylinder: { litre: 150 },
        ...usualZoned,
      },
    },
    fault: 'zone-panel.supply-burnt',
    seed: 11,
    until: { stage: 'diagnose', checks: 5 },
  },
  {
    technician: 'wren',
    hoursAgo: 26,
    unit: {
      ...burnerSite('system-boiler', 'Petra Okonjo-Lindqvist', '22 Orchard Close'),
      make: 'Tarn',
      model: 'B30',
      serial: 'TB-30415',
      installed: '2011-08',
      plate: {
        fuel: 'natural-gas',
        input: { watt: 30_000, basis: 'gross' as const },
        rated: { volt: 230 },
        cylinderControl: 'sensor',
        cylinder: { litre: 200 },
        ...usualZoned,
      },
    },
    fault: 'burner.cracked',
    seed: 22,
    until: { stage: 'decided', also: ['combustion-analysis', 'combustion-analysis-low'] },
  },
  {
    technician: 'ines',
    hoursAgo: 2,
    unit: {
      ...burnerSite('combi-boiler', 'Dunstan Rell', '6 Mallow Walk'),
      make: 'Corvell',
      model: 'K30',
      serial: 'K30-61220',
      installed: '2019-09',
      plate: {
        fuel: 'natural-gas',
        input: { watt: 30_000, basis: 'gross' as const },
        keepWarm: 'none',
        primaryHose: false,
      },
    },
    fault: 'no-fault',
    seed: 4,
    until: {
      stage: 'balanced',
      house: 33,
      rooms: [
        'Hall',
        'Living room, window',
        'Living room, door',
        'Kitchen',
        'Study',
        'Bath',
        'Bedroom, front',
        'Bedroom, back',
        'Child’s room',
        'Landing',
        'Guest room',
        'Loft',
        'Loft bath',
        'Utility',
      ],
    },
  },
  {
    technician: 'teo',
    hoursAgo: 1.5,
    unit: {
      family: 'wireless-cylinder-control',
      customer: 'Ada Wexcombe',
      address: '12 Larch Steps, Pennick Falls',
      services: {},
      make: 'Hollin',
      model: 'W2',
      serial: 'W2-20718',
      installed: '2023-01',
      plate: {
        rated: { volt: 230 },
        volume: { litre: 180 },
        arrangement: 'two-zone-valves',
      },
    },
    fault: 'receiver.hung',
    seed: 3,
    until: { stage: 'diagnose', checks: 4 },
  },
  {
    technician: 'ines',
    hoursAgo: 3,
    unit: {
      ...pumped('Oda Marchbanks', '4 Saltings Row'),
      serial: 'H8-40116',
      installed: '2022-10',
    },
    fault: 'buffer-sensor.out-of-pocket',
    seed: 5,
    until: {
      stage: 'diagnose',
      checks: 4,
      also: [
        'display-buffer-target',
        'display-buffer-temperature',
        'contact-buffer-temperature',
        'display-power',
      ],
    },
  },
  {
    technician: 'ines',
    hoursAgo: 27,
    unit: {
      ...pumped('Lionel Strake', '19 Saltings Row'),
      serial: 'H8-40277',
      installed: '2023-02',
    },
    fault: 'mixing-valve.set-low',
    seed: 8,
    until: { stage: 'mixed', steps: 1 },
  },
];

import type { CheckWords, Instrument } from '../family';

type Rest = Partial<Omit<CheckWords, 'label' | 'doThis' | 'covers' | 'answers'>>;

const looked = (
  label: string,
  doThis: string,
  answers: Readonly<Record<string, string>>,
  rest: Rest = {},
): CheckWords => ({ label, doThis, covers: [], answers, ...rest });

const read = (
  label: string,
  doThis: string,
  instrument: Instrument,
  rest: Rest = {},
): CheckWords => ({
  label,
  doThis,
  covers: [],
  instrument,
  ...rest,
});

const gas = { caution: 'gas' } as const;
const hot = { caution: 'hot-water' } as const;
const flame = { caution: 'flame' } as const;

/** Every check as the technician meets it. */
export const checks: Readonly<Record<string, CheckWords>> = {
  'gas-smell-sniff': looked(
    'Smell for gas',
    'Smell at floor level and along the joints, before anything is switched or lit.',
    { none: 'no smell', smell: 'gas smelled' },
    gas,
  ),
  'gas-creep': looked(
    'Meter, nothing burning',
    'Watch the smallest dial of the meter for 5 min with nothing burning in the house.',
    { still: 'stands still', moves: 'moves' },
    gas,
  ),
  'leak-static': looked(
    'Leak check ahead of the valve',
    'Leak solution or detector on every joint ahead of the valve.',
    { none: 'no bubbles', bubbles: 'bubbles' },
    gas,
  ),
  'leak-firing': looked(
    'Leak check, burner on',
    'Leak solution on the main and pilot tube joints behind the valve, burner on.',
    { none: 'no bubbles', bubbles: 'bubbles' },
    gas,
  ),
  'other-gas-appliance': looked('Another gas appliance', 'Try a hob or another gas appliance.', {
    works: 'works',
    'none-works': 'none works',
    'no-other': 'there is none',
  }),
  'gas-cock-look': looked('Gas cock', 'See how the cock at the heater stands.', {
    open: 'open',
    part: 'part open',
    closed: 'closed',
  }),
  'other-outlet': looked(
    'Another tap',
    'Open a hot tap elsewhere.',
    { 'same-everywhere': 'the same', 'hot-elsewhere': 'hot there' },
    hot,
  ),
  'dial-look': looked('Knob as found', 'Read the knob before it is touched.', {
    usual: 'usual',
    low: 'low',
    'pilot-or-off': 'pilot or off',
    high: 'high',
  }),
  'pilot-look': looked('Pilot as found', 'Look through the sight glass.', {
    lit: 'lit',
    out: 'out',
  }),
  'status-light': looked(
    'Status light',
    'Count two full rounds of the light: short, long, pause.',
    {
      dark: 'dark',
      s4: 'one short, every 4 s',
      s1: 'one short, every second',
      l3: 'one long, every 3 s',
      sl: 'short, long',
      ls: 'long, short',
      ssl: 'short, short, long',
      ll: 'long, long',
      sll: 'short, long, long',
      lss: 'long, short, short',
      lls: 'long, long, short',
      sss: 'three short',
      on: 'steady',
    },
  ),
  'floor-look': looked('Damp', 'Look at the burner, the floor and the top fittings.', {
    dry: 'dry',
    'damp-at-burner': 'damp at the burner',
    'damp-at-top-or-fitting': 'damp at top or fitting',
  }),
  'relief-look': looked('Relief pipe', 'Look at the end of the relief pipe.', {
    dry: 'dry',
    drips: 'drips',
    runs: 'runs',
  }),
  'filter-look': looked('Intake filter', 'Look at the lint filter round the air intake.', {
    clean: 'clean',
    furred: 'furred',
    blocked: 'blocked',
    missing: 'missing',
  }),
  'arrestor-look': looked(
    'Screen under the burner',
    'Mirror and torch under the heater: is the screen furred?',
    { clean: 'clean', furred: 'furred' },
  ),
  'room-air-look': looked(
    'Air of the room',
    'Vents, doors, exhaust fans, and 60 mm free under the heater.',
    { free: 'free', starved: 'starved' },
  ),
  'flue-look': looked(
    'Flue',
    'Follow the flue to its cap: slope, joints, nests, a fallen baffle.',
    { sound: 'sound', 'fault-seen': 'fault seen' },
    { caution: 'hot-metal' },
  ),
  'soot-look': looked('Soot or scorch', 'Look round the burner door and the hood.', {
    clean: 'clean',
    'soot-or-scorch': 'soot or scorch',
  }),
  'spark-look': looked('Spark', 'Knob off. Press the igniter and watch for the spark.', {
    spark: 'spark',
    none: 'no spark',
  }),
  'pilot-light-try': looked(
    'Light the pilot',
    'Five minutes with the knob off, a second sniff, knob to pilot, pressed, spark. Face beside the glass.',
    { lights: 'lights', 'lights-after-long': 'after a long time', 'no-flame': 'no flame' },
    gas,
  ),
  'pilot-flame-look': looked(
    'Pilot flame',
    'Knob pressed. Look where the flame goes.',
    {
      'wraps-upper-third': 'wraps the upper third',
      small: 'small',
      'yellow-soft': 'yellow, soft',
      'blown-about': 'blown about',
      'misses-tip': 'misses the tip',
    },
    flame,
  ),
  'tip-look': looked('Tip in its bracket', 'Is the tip pushed up home?', {
    'high-in-bracket': 'high, home',
    'low-in-bracket': 'slipped down',
  }),
  'pilot-hold-try': looked(
    'Let the knob go',
    'Held 60 s, until the light blinks at most 90 s, then let go.',
    { holds: 'pilot holds', drops: 'pilot drops' },
    flame,
  ),
  'cutout-reset-press': looked(
    'Roll-out reset',
    'Press the roll-out button once. Find out why flame rolled out before it is lit again.',
    { clicked: 'clicked', 'no-click': 'no click', 'no-button': 'has no button' },
    { caution: 'press-once' },
  ),
  'thermocouple-nut-feel': looked(
    'Joint at the valve',
    'Feel the nut or the plugs: a quarter turn past finger tight and no more.',
    { tight: 'tight', 'loose-or-dirty': 'loose or dirty' },
  ),
  'open-circuit-millivolts': read(
    'Generator, open circuit',
    'Leads off the valve, pilot held 60 s: millivolts at the lead ends.',
    'multimeter',
    flame,
  ),
  'before-cutout-millivolts': read(
    'Generator, ahead of the cutout',
    'Lead off the cutout, pilot held 60 s: millivolts ahead of it.',
    'multimeter',
    flame,
  ),
  'loaded-millivolts': read(
    'Generator under load',
    'Leads on, pilot held 60 s: millivolts at the valve.',
    'multimeter',
    flame,
  ),
  'drop-out-seconds': read(
    'Seconds to the click',
    'Put the pilot out with the cock and time it to the click of the magnet.',
    'multimeter',
    flame,
  ),
  'drop-out-millivolts': read(
    'Millivolts at the click',
    'Put the pilot out with the cock and read the millivolts at the click.',
    'multimeter',
    flame,
  ),
  'warming-series': read(
    'Millivolts while it warms',
    'Every 10 s for 90 s from lighting.',
    'multimeter',
    flame,
  ),
  'cutout-ohms': read(
    'Roll-out cutout',
    'Plugs off, knob off: ohms through the cutout.',
    'multimeter',
  ),
  'generator-ohms': read(
    'Generator, cold',
    'Leads off the valve, tip cold: ohms between the leads.',
    'multimeter',
  ),
  'lead-to-sheath-ohms': read(
    'Lead to its shield',
    'Leads off the valve: ohms from a lead to its shield.',
    'multimeter',
  ),
  'magnet-ohms': read(
    'Magnet and energy cutoff',
    'Leads off: ohms into the valve. Never a beeper on an electronic valve.',
    'multimeter',
  ),
  'known-good-thermocouple': looked(
    'Known good thermocouple',
    'Cock shut. Spare in the valve, its tip in a torch away from the heater, pressed 60 s and let go: when does the magnet click?',
    { holds: 'some seconds later', drops: 'at once, or never took' },
    flame,
  ),
  'burner-start': looked(
    'Burner start',
    'Dial up and watch it light, face beside the glass. Dial back afterwards: the last mark scalds.',
    {
      soft: 'lights softly',
      'late-with-thump': 'late, with a thump',
      none: 'no burner',
      'pilot-goes-out': 'pilot goes out',
    },
    flame,
  ),
  'burner-flame-look': looked(
    'Burner flame',
    'After a minute of burning. Dial back afterwards.',
    {
      'blue-even': 'blue, even',
      'yellow-soot': 'yellow, soot',
      lifting: 'lifting',
      'weak-or-patchy': 'weak or patchy',
      'rolls-out': 'rolls out',
    },
    flame,
  ),
  'dial-through-water': looked(
    'Dial through the water',
    'Turn the dial from low to its last mark and back: does the burner follow?',
    { 'on-and-off': 'on and off', 'never-on': 'never on', 'never-off': 'never off' },
    flame,
  ),
  'pilot-with-doors-shut-fans-on': looked(
    'Pilot, doors shut, fans on',
    'All doors and windows shut, all fans on: watch the pilot.',
    { steady: 'steady', pulled: 'pulled' },
    flame,
  ),
  'spillage-check': looked(
    'Spillage',
    'Doors and windows shut, fans on, burner hot: smoke at the rim of the hood.',
    { draws: 'draws', spills: 'spills' },
    { caution: 'carbon-monoxide' },
  ),
  'gas-inlet-static-pressure': read(
    'Inlet pressure, nothing burning',
    'Manometer on the inlet port.',
    'manometer',
    gas,
  ),
  'gas-inlet-working-pressure': read(
    'Inlet pressure, all burning',
    'Manometer on the inlet port, every other appliance burning too. Dial back afterwards.',
    'manometer',
    gas,
  ),
  'gas-manifold-pressure': read(
    'Manifold pressure',
    'Manometer behind the valve, burner on. Dial back afterwards.',
    'manometer',
    gas,
  ),
  'gas-rate': read(
    'Gas rate',
    'Time the meter with only this burner on. Dial back afterwards.',
    'multimeter',
    flame,
  ),
  'flue-co-air-free': read(
    'Carbon monoxide, air free',
    'Probe below the hood, burner hot. Dial back afterwards.',
    'combustion-analyser',
    { caution: 'carbon-monoxide' },
  ),
  'orifice-marking-look': looked(
    'Orifice marking',
    'Burner out: is the orifice that of the gas on the plate?',
    { right: 'right', wrong: 'wrong' },
    gas,
  ),
  'assembly-out-look': looked(
    'Burner assembly, out',
    'Everything on the assembly looked at, once it is out.',
    {
      sound: 'sound',
      'tip-worn': 'tip worn',
      'tip-low': 'tip low',
      'orifice-or-hood-dirty': 'orifice or hood dirty',
      'ports-rusted-or-linty': 'ports rusted or linty',
      'screen-furred': 'screen furred',
    },
    gas,
  ),
  'outlet-first': read('First hot water', 'Nearest hot tap, at once.', 'thermometer', hot),
  'outlet-after-5-min': read(
    'Hot water after 5 min',
    'Nearest hot tap at 10 L/min, measured with a bucket, after 5 min.',
    'thermometer',
    hot,
  ),
  'recovery-after-30-min': read(
    'Hot water after half an hour',
    '30 min of burner after the tank was drawn cold.',
    'thermometer',
    hot,
  ),
  'drain-look': looked(
    'Drain',
    'Open the drain into a bucket.',
    { clear: 'clear', grit: 'grit', chokes: 'chokes' },
    hot,
  ),
  'noise-listen': looked('Noise', 'Listen while it heats and while water runs.', {
    none: 'none',
    'rumble-pop': 'rumble, pop',
    hiss: 'hiss',
    whistle: 'whistle',
    tick: 'tick',
    'boom-at-start': 'boom at start',
  }),
  'dry-wipe-when-hot': looked(
    'Wiped dry, then hot',
    'Wipe dry, heat, look again: condensation goes, a leak comes back.',
    { 'stays-dry': 'stays dry', 'wet-again': 'wet again' },
    flame,
  ),
  'cold-off-tap-check': looked('Cold off, hot tap open', 'Does the water stop?', {
    stops: 'stops',
    'runs-on': 'runs on',
  }),
  'cold-pressure': read(
    'Cold pressure',
    'Gauge on a hose tap: as found, and highest while it heats.',
    'manometer',
  ),
  'use-look': looked('What is drawn', 'Compare what is drawn with what the tank holds.', {
    usual: 'usual',
    outsized: 'more than it holds',
  }),
  'dip-tube-look': looked(
    'Dip tube',
    'Knob off, cold off, pressure off: look into the cold nipple.',
    { whole: 'whole', 'short-or-gone': 'short or gone' },
    hot,
  ),
  'anode-look': looked(
    'Anode',
    'Knob off, cold off, pressure off: draw the anode.',
    { sound: 'sound', worn: 'worn', spent: 'spent' },
    hot,
  ),
  'pair-outlet-temperatures': read(
    'Both outlets',
    'Two taps, about 15 L/min, until the mixed outlet has fallen 5 K or 15 min: both within a minute.',
    'thermometer',
    hot,
  ),
  'pair-pipe-look': looked(
    'Runs of the pair',
    'Tee to heater, cold and hot: same length, bore and fittings?',
    { 'equal-runs': 'equal', 'unequal-runs': 'unequal', 'one-valve-shut': 'one valve shut' },
  ),
  'series-outlet-temperatures': read(
    'First heater and outlet',
    'Draw, and read between the two and at the outlet.',
    'thermometer',
    hot,
  ),
  'pilot-after-a-day': looked('Pilot the day after', 'Call back, or the customer looks.', {
    lit: 'lit',
    out: 'out',
  }),
};

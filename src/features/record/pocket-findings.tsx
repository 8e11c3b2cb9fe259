import type { ApplianceFamily } from '@/core/appliances';
import { pocketCourse, type PocketStretch } from '@/core/heat-pump';
import type { LoggedCourse } from '@/core/job-file';
import { valueText, type UnitSystem } from '@/core/quantities';
import { CrossedBox, Tick } from '@/ui/marks';

/** A sensor that feels so much of its water is home. */
const homeShare = 0.88;
/** Where nobody followed the room. Common practice, °C. */
const usualRoomCelsius = 20;

/** What a log says of sensors beside their water: how much of it they feel, and when that changed. */
export function PocketFindings({
  family: { pockets = [] },
  course,
  system,
}: {
  family: Pick<ApplianceFamily, 'pockets'>;
  course: LoggedCourse;
  system: UnitSystem;
}) {
  const samples = (place: string) =>
    course.channels.find((each) => each.place === place)?.samples ?? [];
  const room = samples('room').at(-1)?.celsius ?? usualRoomCelsius;
  const found = pockets.flatMap(({ name, readout, water }) => {
    const told = pocketCourse(samples(readout), samples(water), room);
    return told ? [{ name, ...told }] : [];
  });
  if (found.length === 0) return null;
  const celsius = (value: number) => valueText(value, 'temperature', system);
  const felt = ({ share, depthMillimetre, shownCelsius, waterCelsius }: PocketStretch) =>
    `${share.toFixed(2)} of its water (${celsius(shownCelsius)} shown, ${celsius(waterCelsius)} there${
      share < homeShare ? `; as one ${Math.round(depthMillimetre)} mm in, or drifted` : ''
    })`;
  return (
    <ul aria-label="Sensors against their water" className="space-y-2">
      {found.map(({ name, before, after }) => {
        const now = after ?? before;
        return (
          <li key={name} className="flex items-start gap-2">
            <span className="mt-1 shrink-0">
              {now.share >= homeShare ? <Tick /> : <CrossedBox />}
            </span>
            <span>
              <strong className="font-semibold">{name}:</strong> felt {felt(before)}
              {after &&
                `; from ${Math.round(after.fromSecond / 60)} min on ${felt(after)}: ${
                  after.share > before.share ? 'it went in' : 'it came out'
                }`}
              . Room {celsius(room)}.
            </span>
          </li>
        );
      })}
    </ul>
  );
}

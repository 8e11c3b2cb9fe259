import { schools, wayOf, type ChosenWays, type School } from '@/core/schools';
import { Choice } from '@/ui/choice';

/** The two ways of a school, each with its reason. */
export function SchoolChoice({
  school,
  chosen,
  onChoose,
}: {
  school: School;
  chosen: ChosenWays;
  onChoose(way: string): void;
}) {
  const own = wayOf(school, chosen);
  return (
    <Choice
      label={school.question}
      why={school.ways
        .map(({ label, why }) => `${label[0]!.toUpperCase()}${label.slice(1)}: ${why}`)
        .join(' ')}
      options={school.ways.map(({ id, label }) => ({
        label,
        isChosen: own.id === id,
        onChoose: () => onChoose(id),
      }))}
    />
  );
}

/** Every school, or those of a family. */
export function SchoolChoices({
  of = schools,
  chosen,
  onChoose,
}: {
  of?: readonly School[];
  chosen: ChosenWays;
  onChoose(school: string, way: string): void;
}) {
  return of.map((each) => (
    <SchoolChoice
      key={each.id}
      school={each}
      chosen={chosen}
      onChoose={(way) => onChoose(each.id, way)}
    />
  ));
}

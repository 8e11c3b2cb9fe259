import { Choice } from '@/ui/choice';

/** The two ways before a part is fitted, each with its reason. */
export function SchoolChoice({
  chosen,
  onChoose,
}: {
  chosen: boolean;
  onChoose(readsFirst: boolean): void;
}) {
  return (
    <Choice
      label="Before a part is fitted"
      why="Read it itself: a minute more, and no part is fitted that nobody has touched. Trust the others: what the rest of the circuit reads can leave only one part."
      options={[
        { label: 'read it itself', isChosen: chosen, onChoose: () => onChoose(true) },
        { label: 'trust the others', isChosen: !chosen, onChoose: () => onChoose(false) },
      ]}
    />
  );
}

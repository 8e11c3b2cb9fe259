/** How the tools of this page want to be held. */
export function Technique() {
  return (
    <details className="border-t border-hair">
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold">
        How to hold them
      </summary>
      <ul className="space-y-2 pb-2">
        <li>
          <span className="font-medium">Probe on a wall:</span> flat on bare metal or paint, taped,
          under a bit of insulation; a minute before it counts. At the top and the bottom cover, not
          on the element&apos;s flange.
        </li>
        <li>
          <span className="font-medium">Infrared:</span> on a dull surface square to it, near enough
          that the spot is all on it. Chrome, glass and water mirror the room and read far too cold:
          stick dark tape on first. Emissivity 0.95 for paint, tape, plastic; a bright pipe has 0.1
          to 0.3 and is not to be measured.
        </li>
        <li>
          <span className="font-medium">At a tap:</span> the probe in the stream, the aerator off,
          the same opening each time.
        </li>
        <li>
          <span className="font-medium">Clamp:</span> round one conductor; round both, they cancel.
        </li>
        <li>
          <span className="font-medium">Ohms:</span> zero the leads first, or note what they show
          pinched together.
        </li>
      </ul>
    </details>
  );
}

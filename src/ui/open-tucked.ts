/** Opens what an element is tucked away in: what is wrong with it would not be seen. */
export function openTucked(element: Element | null): void {
  const tucked = element?.closest('details');
  if (tucked) tucked.open = true;
}

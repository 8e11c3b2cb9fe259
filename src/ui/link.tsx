import NextLink from 'next/link';
import type { ComponentProps } from 'react';

/**
 * A way to another page. Nothing is fetched ahead of a tap: a page is made when it is asked for, so that there is nothing of
 * it yet, and its code is on the device already. A list of jobs would else ask twice for each of them.
 */
export function Link(props: ComponentProps<typeof NextLink>) {
  return <NextLink prefetch={false} {...props} />;
}

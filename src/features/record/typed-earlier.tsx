'use client';

import { useEffect, useState } from 'react';
import { dateWords } from './date-words';
import { isOfBefore } from './reading-draft';

const lookMilliseconds = 30_000;

/** Under a reading that was typed a while ago and not entered: when, so that nobody takes it for one of now. */
export function TypedEarlier({ at }: { readonly at: number | undefined }) {
  return at === undefined ? null : <Since at={at} />;
}

function Since({ at }: { readonly at: number }) {
  const [now, setNow] = useState(Date.now);
  useEffect(() => {
    const look = () => setNow(Date.now());
    const timer = setInterval(look, lookMilliseconds);
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, []);
  if (!isOfBefore(at, now)) return null;
  const when = new Date(at);
  return (
    <span role="note" className="block text-small font-medium">
      Typed {dateWords('short', when, undefined)}, {dateWords('clock', when, undefined)}, and not
      entered. Is it so still?
    </span>
  );
}

'use client';

import { useState } from 'react';

const themes = ['system', 'light', 'dark'] as const;

/** Light, dark, or as the device has it; kept in a cookie so that the server draws it right at once. */
export function ThemeChoice({ theme }: { theme: string | undefined }) {
  const [chosen, setChosen] = useState<string>(theme ?? 'system');
  return (
    <select
      className="field w-auto"
      aria-label="Theme"
      value={chosen}
      onChange={(event) => {
        const next = event.target.value;
        setChosen(next);
        document.cookie = `ohmmeter-theme=${next}; path=/; max-age=31536000; samesite=strict`;
        if (next === 'system') delete document.documentElement.dataset.theme;
        else document.documentElement.dataset.theme = next;
      }}
    >
      {themes.map((each) => (
        <option key={each} value={each}>
          {each === 'system' ? 'theme: as the device' : `theme: ${each}`}
        </option>
      ))}
    </select>
  );
}

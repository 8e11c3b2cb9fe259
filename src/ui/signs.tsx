/** Safety signs by the public standards ISO 3864-1 and ISO 7010: shape and colour carry the meaning in both themes. */

interface SignProps {
  readonly size?: number;
  /** What it says, for a screen reader; leave out where the text beside it says so. */
  readonly label?: string;
}

const named = (label: string | undefined) =>
  label === undefined
    ? ({ 'aria-hidden': true } as const)
    : ({ role: 'img', 'aria-label': label } as const);

/** Warning, electricity. */
export function ElectricitySign({ size = 28, label }: SignProps) {
  return (
    <Triangle size={size} label={label}>
      <path d="M17.5 11l-5 8h3.2l-1.6 6.5 5.6-8.6h-3.4l2.2-5.9z" fill="#000" />
    </Triangle>
  );
}

/** Warning, hot. */
export function HotSign({ size = 28, label }: SignProps) {
  return (
    <Triangle size={size} label={label}>
      <path
        d="M9.5 25h13M12 22c-1.6-2 1.6-3 0-5.400M16 22c-1.6-2 1.6-3 0-7M20 22c-1.6-2 1.6-3 0-5.4"
        stroke="#000"
        strokeWidth="1.6"
        fill="none"
      />
    </Triangle>
  );
}

/** Warning, general. */
export function WarningSign({ size = 28, label }: SignProps) {
  return (
    <Triangle size={size} label={label}>
      <path d="M16 12v8" stroke="#000" strokeWidth="2.6" />
      <circle cx="16" cy="23.4" r="1.5" fill="#000" />
    </Triangle>
  );
}

function Triangle({ size, label, children }: SignProps & { children: React.ReactNode }) {
  return (
    <svg width={size} height={size} viewBox="0 0 32 32" className="shrink-0" {...named(label)}>
      <path
        d="M16 2.500L30.5 28.500H1.500z"
        fill="var(--iso-rim)"
        stroke="var(--iso-rim)"
        strokeWidth="3"
        strokeLinejoin="round"
      />
      <path
        d="M16 4L29 27.500H3z"
        fill="var(--iso-yellow)"
        stroke="#000"
        strokeWidth="2.4"
        strokeLinejoin="round"
      />
      {children}
    </svg>
  );
}

/** Mandatory: disconnect before working. */
export function DisconnectedSign({ size = 34, label }: SignProps) {
  return (
    <svg width={size} height={size} viewBox="0 0 32 32" className="shrink-0" {...named(label)}>
      <circle
        cx="16"
        cy="16"
        r="15"
        fill="var(--iso-blue)"
        stroke="var(--iso-rim)"
        strokeWidth="1.5"
      />
      <path d="M6 20h5l8-8M20 20h6" stroke="#fff" strokeWidth="2.4" fill="none" />
      <circle cx="11" cy="20" r="2" fill="#fff" />
      <circle cx="21" cy="20" r="2" fill="#fff" />
    </svg>
  );
}

/** Prohibition: do not press reset again and again. */
export function NoResetSign({ size = 28, label }: SignProps) {
  return (
    <svg width={size} height={size} viewBox="0 0 32 32" className="shrink-0" {...named(label)}>
      <circle cx="16" cy="16" r="15.5" fill="var(--iso-rim)" />
      <circle cx="16" cy="16" r="12.6" fill="#fff" stroke="var(--iso-red)" strokeWidth="3.4" />
      <path
        d="M21 12.500a6 6 0 1 0 1 5M21.5 8.500v4.500h-4.5"
        stroke="#000"
        strokeWidth="2"
        fill="none"
      />
      <path d="M7.5 7.500l17 17" stroke="var(--iso-red)" strokeWidth="3.4" />
    </svg>
  );
}

const signs = {
  electricity: ElectricitySign,
  'hot-water': HotSign,
  'no-reset': NoResetSign,
  warning: WarningSign,
} as const;

/** The sign of a caution by its name. */
export function CautionSign({ sign, ...rest }: SignProps & { readonly sign: keyof typeof signs }) {
  const Drawn = signs[sign];
  return <Drawn {...rest} />;
}

import type { ReactNode } from 'react';

/** The one large button of a step. */
export function Press({
  isWhole,
  disabled = false,
  isEarly = false,
  onPress,
  children,
}: {
  readonly isWhole: boolean;
  readonly disabled?: boolean;
  /** Its time has not come: it may be pressed all the same, with a reason. */
  readonly isEarly?: boolean;
  onPress(): void;
  readonly children: ReactNode;
}) {
  return (
    <button
      type="button"
      className={`button ${isEarly ? '' : 'button-act'} mt-4 w-full text-[22px] ${isWhole ? 'min-h-[38dvh]' : 'min-h-16'}`}
      disabled={disabled}
      onClick={onPress}
    >
      {children}
    </button>
  );
}

/** Who is let in: requests to this machine's own names, and changes from its own pages. */

/** On every answer, whatever it is. */
export const everywhere: Readonly<Record<string, string>> = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy':
    'camera=(), microphone=(), geolocation=(), payment=(), usb=(), serial=(), bluetooth=()',
};

export interface RefusedAtTheDoor {
  readonly status: 421 | 403;
  readonly message: string;
}

/** What of a request says who asks, and for what. */
export interface Knock {
  readonly method: string;
  readonly host: string;
  readonly origin: string | undefined;
}

export const knockOf = ({ method, headers }: Request): Knock => ({
  method,
  host: headers.get('host') ?? '',
  origin: headers.get('origin') ?? undefined,
});

/** Why a request is not answered; undefined where it is. */
export function refusedAtTheDoor({ method, host, origin }: Knock): RefusedAtTheDoor | undefined {
  if (!/^(127\.0\.0\.1|localhost)(:\d+)?$/.test(host)) {
    return { status: 421, message: 'This address is not answered. Use http://127.0.0.1.' };
  }
  const changes = !['GET', 'HEAD'].includes(method);
  return changes && origin !== `http://${host}`
    ? { status: 403, message: 'Changes are taken from pages of Ohmmeter only.' }
    : undefined;
}

import type { Metadata, Viewport } from 'next';
import { cookies, headers } from 'next/headers';
import '../ui/fonts.css';
import './globals.css';
import { KeepGoing } from '@/features/device/keep-going';
import { Awake } from '@/features/waking/awake';
import { scriptUntilAwake } from '@/features/waking/before-awake';
import { scriptForLogbook } from '@/features/waking/logbook-ahead';
import { isPhone } from '@/server/is-phone';
import { PreloadFonts } from '@/ui/preload-fonts';
import { DrawnFor } from '@/ui/screen-width';

export const metadata: Metadata = {
  title: { default: 'Ohmmeter', template: '%s · Ohmmeter' },
  description: 'What to measure next on a water heater, what it should read, and what it means.',
};

export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function Layout({ children }: { children: React.ReactNode }) {
  // Reading the headers keeps every page out of the build, so that each gets the nonce of its own request.
  const asked = await headers();
  const nonce = asked.get('x-nonce') ?? undefined;
  const theme = (await cookies()).get('ohmmeter-theme')?.value;
  return (
    <html lang="en" data-theme={theme === 'dark' || theme === 'light' ? theme : undefined}>
      <body>
        <script
          nonce={nonce}
          // A browser shows no nonce to scripts, so that what React finds there differs.
          suppressHydrationWarning
          dangerouslySetInnerHTML={{ __html: scriptUntilAwake() + ';' + scriptForLogbook() }}
        />
        <DrawnFor isWide={!isPhone(asked)}>{children}</DrawnFor>
        <PreloadFonts />
        <Awake />
        <KeepGoing />
      </body>
    </html>
  );
}

import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  // Linting and types are steps of their own in the test run.
  typescript: { ignoreBuildErrors: true },
};

export default config;

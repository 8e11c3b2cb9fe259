import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  // Answered on this machine alone: packing costs more than it saves.
  compress: false,
  images: { unoptimized: true },
  // A slow phone feels each file: a sixth fewer of them, and 2 % more to keep on a device (docs/benchmarks/response.md).
  experimental: { turbopackChunking: { minChunkSize: 70_000 } },
  // Written into the pages and the server alike, so that each knows whether the other is of the same build.
  env: { OHMMETER_BUILD: process.env.OHMMETER_BUILD ?? 'development' },
  // Linting and types are steps of their own in the test run.
  typescript: { ignoreBuildErrors: true },
};

export default config;

import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // the solver finds its WASM beside itself
  serverExternalPackages: ['highs', 'piscina'],
  turbopack: { root: __dirname },
};

export default config;

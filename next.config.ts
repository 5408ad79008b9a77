import type { NextConfig } from 'next';

const root = import.meta.dirname;

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  turbopack: { root },
  // Types are checked by the tests, once: a start on a fresh machine need not wait a minute for it.
  typescript: { ignoreBuildErrors: true },
  outputFileTracingRoot: root,
  // Drivers and decorators keep their class names only when they are not bundled.
  serverExternalPackages: [
    'knex',
    'pg',
    'pino',
    'piscina',
    'sharp',
    'bwip-js',
    'pdfmake',
    '@node-rs/argon2',
    'class-validator',
    'class-transformer',
    'class-validator-jsonschema',
  ],
  // The OpenAPI document takes its schema names from the DTO classes.
  experimental: { serverMinification: false },
};

export default config;

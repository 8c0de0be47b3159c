import type { NextConfig } from 'next'

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  // It is served on loopback: packing and unpacking would cost more than it spares.
  compress: false,
  devIndicators: false,
  // Types are checked by npm test; the build need not do it again on every designer's machine.
  typescript: { ignoreBuildErrors: true },
  serverExternalPackages: ['pino', 'mysql2', 'esbuild', 'fflate'],
  outputFileTracingExcludes: { '*': ['**/*'] },
  // A little more than is taken in at once (src/server/import.ts), so that the sentence about too much is our own.
  experimental: { optimizePackageImports: ['@chakra-ui/react'], proxyClientMaxBodySize: '64mb' },
}

export default config

import type { NextConfig } from 'next'

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // Types are checked by npm test; the build need not do it again on every designer's machine.
  typescript: { ignoreBuildErrors: true },
  serverExternalPackages: ['pino', 'mysql2', 'esbuild'],
  outputFileTracingExcludes: { '*': ['**/*'] },
  experimental: { optimizePackageImports: ['@chakra-ui/react'] },
}

export default config

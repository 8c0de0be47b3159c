import type { NextConfig } from 'next'

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  serverExternalPackages: ['pino', 'mysql2', 'esbuild'],
  outputFileTracingExcludes: { '*': ['**/*'] },
  experimental: { optimizePackageImports: ['@chakra-ui/react'] },
}

export default config

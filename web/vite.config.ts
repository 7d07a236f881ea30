import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  root: import.meta.dirname,
  base: '/build/',
  publicDir: false,
  plugins: [react()],
  build: { outDir: '../public/build', emptyOutDir: true, chunkSizeWarningLimit: 1200 },
  // What draws for paper stands alone: it runs without the packages that it was built from.
  ssr: { noExternal: true },
  server: { proxy: { '/api': 'http://127.0.0.1:8740' } },
  // A busy machine is a normal machine: the time-outs are limits of patience, not of speed.
  test: {
    environment: 'jsdom',
    include: ['src/**/*.test.{ts,tsx}'],
    setupFiles: ['src/testing/setup.ts'],
    testTimeout: 120_000,
    hookTimeout: 120_000,
    expect: { poll: { timeout: 30_000 } },
  },
});

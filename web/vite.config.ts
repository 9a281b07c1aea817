import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

// One stylesheet for all screens: it is small, and what is laid out by another's rules has them wherever one begins.
export default defineConfig({
  root: import.meta.dirname,
  plugins: [react()],
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    chunkSizeWarningLimit: 4000,
    target: 'es2022',
    cssCodeSplit: false,
  },
});

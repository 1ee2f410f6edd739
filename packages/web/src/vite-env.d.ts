/// <reference types="vite-plugin-pwa/client" />

declare module 'plotly.js-basic-dist-min' {
  export * from 'plotly.js';
}

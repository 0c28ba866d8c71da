/// <reference types="vite/client" />
declare module 'highs/runtime?url' {
  const url: string;
  export default url;
}

/** Names this build of the program: no two builds have the same. */
declare const __BUILD__: string;

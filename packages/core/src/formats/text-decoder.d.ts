/** In browsers and Node.js alike (WHATWG Encoding Standard), and in no library of the language itself. */
declare class TextDecoder {
  constructor(label: 'utf-8', options?: { readonly fatal?: boolean });
  constructor();
  decode(bytes: Uint8Array, options?: { readonly stream?: boolean }): string;
}

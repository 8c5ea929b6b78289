import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { v4 } from 'uuid';

/** A number that nothing else has. A page without a certificate lacks the browser's own. */
export const freshId = (): string => v4();

/** SHA-256 of a content, in hexadecimal. */
export async function contentHash(blob: Blob): Promise<string> {
  return bytesToHex(sha256(new Uint8Array(await blob.arrayBuffer())));
}

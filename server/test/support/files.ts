import sharp from 'sharp';
import { request } from './request.ts';
import type { Studio } from './studio.ts';

export const upload = (studio: Studio, path: string, bytes: Buffer) =>
  request(studio.app).post(`/api${path}`).set('Content-Type', 'application/octet-stream').send(bytes);
export const bytesOf = (studio: Studio, path: string) =>
  request(studio.app)
    .get(`/api${path}`)
    .buffer(true)
    .parse((response, done) => {
      const chunks: Buffer[] = [];
      response.on('data', (chunk: Buffer) => chunks.push(chunk));
      response.on('end', () => done(null, Buffer.concat(chunks)));
    });
/** Whatever these answers may say; a test asks only for what its own does. */
export interface Told {
  readonly id: string;
  readonly mime: string;
  readonly code: string;
  readonly version: number;
  readonly steps: readonly { readonly text: string }[];
  readonly items: readonly unknown[];
  readonly errors: readonly unknown[];
  readonly unfinished: unknown;
}
export const told = ({ body }: { readonly body: unknown }): Told => body as Told;

export const photo = (width = 40, height = 20) =>
  sharp({ create: { width, height, channels: 3, background: '#a9b04a' } });

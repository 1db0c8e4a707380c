import { reply } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { PictureService } from '../services/pictureService.ts';
import { Refusal } from '../services/refusal.ts';

/** 15 MB are promised; what is a little over is not refused for the sake of a comma. */
const LARGEST = '16mb';

/** Pictures of steps, in two sizes. */
export const pictureRoutes = (pictures: PictureService): Route[] => [
  route({
    method: 'post',
    path: '/pictures',
    summary:
      'Bring in a picture as it is: JPEG, PNG, WebP or SVG. It is turned upright and loses its metadata',
    upload: LARGEST,
    answers: [201],
    handle: async ({ bytes }) =>
      reply(await pictures.bringIn(bytes), (picture) => ({
        status: 201,
        body: picture,
        location: `/api/pictures/${picture.id}`,
      })),
  }),
  route({
    method: 'get',
    path: '/pictures/:id',
    summary: 'A picture; `size=small` for lists',
    query: ['size'],
    answers: [200],
    handle: ({ params: { id }, query: { size = 'large' } }) => {
      if (size !== 'large' && size !== 'small') return new Refusal({ code: 'query_invalid', field: 'size' });
      return reply(pictures.bytes(id, size), (picture) => filedForever(picture));
    },
  }),
];

const filedForever = (picture: { readonly bytes: Buffer; readonly mime: string }) => ({
  status: 200,
  file: { ...picture, isForever: true } as const,
});

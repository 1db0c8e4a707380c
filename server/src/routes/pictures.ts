import { AT_THE_TABLE, WITH_A_PACK } from '../access/caller.ts';
import { reply } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { LearnerService } from '../services/learnerService.ts';
import type { PictureService } from '../services/pictureService.ts';
import { Refusal } from '../services/refusal.ts';

/** 15 MB are promised; what is a little over is not refused for the sake of a comma. */
const LARGEST = '16mb';

/** Pictures of steps, in two sizes. */
export const pictureRoutes = (pictures: PictureService, learners: LearnerService): Route[] => [
  route({
    method: 'post',
    path: '/pictures',
    summary:
      'Bring in a picture as it is: JPEG, PNG, WebP or SVG. It is turned upright and loses its metadata',
    roles: AT_THE_TABLE,
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
    roles: WITH_A_PACK,
    query: ['size'],
    answers: [200],
    handle: ({ params: { id }, query: { size = 'large' }, caller: { role, pack } }) => {
      // A learner sees what is in the pattern of their pack.
      if (role === 'learner' && !(pack && learners.hasPicture(pack, id) === true))
        return new Refusal({ code: 'not_found' });
      if (size !== 'large' && size !== 'small') return new Refusal({ code: 'query_invalid', field: 'size' });
      return reply(pictures.bytes(id, size), (picture) => filedForever(picture));
    },
  }),
];

const filedForever = (picture: { readonly bytes: Buffer; readonly mime: string }) => ({
  status: 200,
  file: { ...picture, isForever: true } as const,
});

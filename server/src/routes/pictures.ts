import { HttpProblem } from '../http/problems.ts';
import type { Route } from '../http/route.ts';
import { readPicture } from '../pictures.ts';
import type { RouteDeps } from './deps.ts';

/** 15 MB are promised; what is a little over is not refused for the sake of a comma. */
const LARGEST = '16mb';

/** Pictures of steps, in two sizes. */
export function pictureRoutes({ store: { pictures }, now, newId }: RouteDeps): Route[] {
  return [
    {
      method: 'post',
      path: '/pictures',
      summary:
        'Bring in a picture as it is: JPEG, PNG, WebP or SVG. It is turned upright and loses its metadata',
      upload: LARGEST,
      answers: [201],
      handle: async ({ bytes }) => {
        const picture = await readPicture(bytes);
        const { id, mime, width, height } = pictures.keep(newId(), picture, now().toISOString());
        return { status: 201, body: { id, mime, width, height }, location: `/api/pictures/${id}` };
      },
    },
    {
      method: 'get',
      path: '/pictures/:id',
      summary: 'A picture; `size=small` for lists',
      query: ['size'],
      answers: [200],
      handle: ({ params: { id = '' }, query }) => {
        const size = query['size'] ?? 'large';
        if (size !== 'large' && size !== 'small') throw new HttpProblem('query_invalid', { field: 'size' });
        const picture = pictures.bytes(id, size);
        if (!picture) throw new HttpProblem('not_found');
        return { status: 200, file: { ...picture, isForever: true } };
      },
    },
  ];
}

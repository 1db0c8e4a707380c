/** Where on the shelf each kind lies. */
export const SHELF_OF = {
  fibre: '/shelf',
  blend: '/shelf',
  finding: '/shelf/findings',
  needle: '/shelf/tools',
  tool: '/shelf/tools',
  supplier: '/shelf/suppliers',
} as const;

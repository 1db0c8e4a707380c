/** Where the demo studio is served, beside one's own at the root: its pages, and its API below them. */
export const DEMO_STUDIO_PATH = '/demo-studio';

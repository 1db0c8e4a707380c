import '@fontsource-variable/source-sans-3/wght.css';
import '@fontsource-variable/bricolage-grotesque/wght.css';
import 'antd/dist/reset.css';
import './ui/look/tokens.css';
import './ui/look/global.css';
import './ui/look/utilities.css';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { preloadShelf } from './api/preloadShelf.ts';
import { Look } from './shell/Look.tsx';
import { router } from './routes.tsx';

const root = document.getElementById('root');
if (root) {
  preloadShelf();
  createRoot(root).render(
    <Look>
      <RouterProvider router={router} />
    </Look>,
  );
}

import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router/dom';
import { holdBuild, newVersionReady } from '../store/newVersion.ts';
import { store } from '../store/store.ts';
import { readTheme, showTheme } from '../store/theme.ts';
import { Toasts } from './parts/Toasts.tsx';
import { router } from './routes.tsx';
import './style.css';

showTheme(readTheme());
// what keeps work is loaded beside the shelf: there is none before a plan is opened
void import('../store/keeping/watchPage.ts').then(({ watchPage }) => {
  watchPage();
});
if (import.meta.env.PROD) holdBuild(() => store.dispatch(newVersionReady()));

const root = document.getElementById('app');
if (!root) throw new Error('index.html has no #app');
createRoot(root).render(
  <StrictMode>
    <Provider store={store}>
      <RouterProvider router={router} />
      <Toasts />
    </Provider>
  </StrictMode>,
);

import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router/dom';
import { store } from '../store/store.ts';
import { readTheme, showTheme } from '../store/theme.ts';
import { Toasts } from './parts/Toasts.tsx';
import { router } from './routes.tsx';
import './style.css';

showTheme(readTheme());

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

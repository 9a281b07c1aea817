import '@fontsource/atkinson-hyperlegible-next/latin-400.css';
import '@fontsource/atkinson-hyperlegible-next/latin-700.css';
import '@fontsource/atkinson-hyperlegible-mono/latin-400.css';
import './sormet.css';
import '../bench/Bar.css';
import './SiteFrame.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { ConfigProvider } from 'antd';
import { RouterProvider } from 'react-router';
import { watchFields } from '../parts/lost-field';
import { routes } from './routes';
import { theme } from './theme';

watchFields(document);

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <ConfigProvider theme={theme} wave={{ disabled: true }}>
      <RouterProvider router={routes} />
    </ConfigProvider>
  </StrictMode>,
);

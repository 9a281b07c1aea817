import '@fontsource/atkinson-hyperlegible-next/latin-400.css';
import '@fontsource/atkinson-hyperlegible-next/latin-700.css';
import '@fontsource/atkinson-hyperlegible-mono/latin-400.css';
import './sormet.css';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { ConfigProvider } from 'antd';
import { RouterProvider } from 'react-router';
import { routes } from './routes';
import { makeStore } from '../store/store';
import { theme } from './theme';

createRoot(document.getElementById('root')!).render(
  <Provider store={makeStore()}>
    <ConfigProvider theme={theme} wave={{ disabled: true }}>
      <RouterProvider router={routes} />
    </ConfigProvider>
  </Provider>,
);

import { createRoot } from 'react-dom/client';
import { Button, ConfigProvider, Input } from 'antd';

/** As little as a page of React and Ant Design can be: what the application is measured beside. */
createRoot(document.getElementById('root')!).render(
  <ConfigProvider>
    <main>
      <Input aria-label="A field" />
      <Button>A button</Button>
    </main>
  </ConfigProvider>,
);

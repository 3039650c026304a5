import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { readClock } from '../storage/clock';
import { prepareFirstStart } from '../storage/workshop';
import { App } from './App';
import './theme.css';

const root = createRoot(document.getElementById('root')!);
try {
  await prepareFirstStart();
  await readClock();
  root.render(
    <StrictMode>
      <App />
    </StrictMode>,
  );
} catch (error) {
  root.render(
    <div className="m-8 max-w-xl">
      <h1 className="text-2xl font-bold">Kolleta cannot keep anything here</h1>
      <p className="my-2">The browser does not let this page store data ({String(error)}). Allow storage for it, or leave the private window, and reload.</p>
    </div>,
  );
}

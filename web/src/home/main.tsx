import '@fontsource-variable/bricolage-grotesque';
import '@fontsource/atkinson-hyperlegible/400.css';
import '@fontsource/atkinson-hyperlegible/700.css';
import './home.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { speakHere } from './home-language';
import { HomePage } from './home-page';

// a page of its own, apart from that of the staff: a phone fetches a tenth of it
const root = document.getElementById('root');
if (!root) throw new Error('home.html has no #root');
const show = (): void => {
  createRoot(root).render(
    <StrictMode>
      <HomePage />
    </StrictMode>,
  );
};
void speakHere().then(show);

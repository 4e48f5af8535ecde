import { QueryClientProvider } from '@tanstack/react-query';
import { setNonce } from 'get-nonce';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import { queryClient } from './api/queries.ts';
import { router } from './routes.tsx';
import './styles.css';
import { UndoProvider } from './ui/undo.tsx';

const nonce = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce;
if (nonce) setNonce(nonce);

createRoot(document.getElementById('sabor')!).render(
  <StrictMode>
    <QueryClientProvider client={queryClient}>
      <UndoProvider>
        <RouterProvider router={router} />
      </UndoProvider>
    </QueryClientProvider>
  </StrictMode>,
);

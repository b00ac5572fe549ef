import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { RemoteMade } from '@leiter/contract';
import { useMutation } from '@tanstack/react-query';
import { QRCodeSVG } from 'qrcode.react';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { api } from '../../shared/api';
import { headingFont, palette } from '../../shared/palette';

/** The link of this class as it was made here; it is told once, and the next one ends it. */
export type PhoneLink = Pick<ReturnType<typeof usePhoneLink>, 'data' | 'isError'>;

/** Makes the link when it is to be shown first, and keeps it while this page is open. */
export function usePhoneLink(classId: string) {
  return useMutation({ mutationFn: () => api<RemoteMade>('POST', `classes/${classId}/remote`) });
}

/** The code that makes a phone a remote of this class. */
export function PhoneDialog({ made, onClose }: { readonly made: PhoneLink; readonly onClose: () => void }) {
  useHotkeys('escape', onClose);
  const [chosen, setChosen] = useState(0);
  const isHere = /^(localhost|127\.0\.0\.1|\[::1\])$/.test(location.hostname);
  const addresses = made.data && isHere ? made.data.addresses : [location.origin];
  const address = addresses[chosen % Math.max(1, addresses.length)];
  const link = made.data && address !== undefined ? `${address}/remote#${made.data.token}` : null;
  return (
    <Box
      role="dialog"
      aria-label={t`A phone as remote`}
      sx={{
        position: 'fixed',
        inset: 0,
        zIndex: 10,
        display: 'grid',
        placeItems: 'center',
        backgroundColor: 'rgba(10, 14, 16, 0.82)',
      }}
    >
      <Box sx={{ width: 720, p: 4, backgroundColor: palette.nightShade, border: `1px solid ${palette.soft}`, display: 'flex', gap: 4 }}>
        <Box sx={{ width: 264, height: 264, p: 1.5, flexShrink: 0, backgroundColor: palette.white, display: 'grid', placeItems: 'center' }}>
          {link !== null && <QRCodeSVG value={link} size={240} level="M" title={t`Code for the phone`} />}
        </Box>
        <Box sx={{ fontSize: 18, lineHeight: 1.4 }}>
          <Box component="h2" sx={{ m: 0, mb: 1, fontFamily: headingFont, fontSize: 30, lineHeight: 1.1 }}>
            <Trans>A phone as remote</Trans>
          </Box>
          {made.isError ? (
            <Trans>No code just now: the server does not answer. Close this and try again in a moment.</Trans>
          ) : link === null && made.data ? (
            <Trans>This computer is in no network that a phone could reach it by. A clicker or the keys do the same.</Trans>
          ) : (
            <>
              <Trans>
                Scan it. The phone goes on, back and pauses, and marks the children – no sign-in, this class only; it ends with the class.
              </Trans>
              {isHere && (
                <Box sx={{ mt: 1, color: palette.nightSoft }}>
                  <Trans>The phone has to be in the same network as this computer.</Trans>
                </Box>
              )}
              <Box sx={{ mt: 1, color: palette.nightSoft }}>
                <Trans>Whoever helps and has a sign-in opens the class on an own device and presses “Beside it”.</Trans>
              </Box>
            </>
          )}
          <Box sx={{ display: 'flex', gap: 1, mt: 2 }}>
            <Button
              variant="contained"
              autoFocus
              onClick={onClose}
              sx={{ backgroundColor: palette.cream, color: palette.night, '&:hover': { backgroundColor: palette.white } }}
            >
              <Trans>Close</Trans>
            </Button>
            {addresses.length > 1 && (
              <Button
                variant="outlined"
                sx={{ color: palette.cream, borderColor: palette.nightSoft }}
                onClick={() => {
                  setChosen(chosen + 1);
                }}
              >
                <Trans>Another address</Trans>
              </Button>
            )}
          </Box>
        </Box>
      </Box>
    </Box>
  );
}

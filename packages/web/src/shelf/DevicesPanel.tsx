import { useEffect, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { clockTime, dayOf, type CodeResponse, type PairedDevice } from '@ythrion/core';
import { saidOfEntry } from '../api/client';
import { say } from '../parts/say';
import { TextLine } from '../parts/TextLine';
import { useAccess, useDevices, useMakeCode, useRevoke } from '../studio/access';

/** Devices that use the studio over the network: one more is let in by a code, one that is lost is sent away. */
export function DevicesPanel() {
  const access = useAccess();
  const devices = useDevices();
  if (!access) return null;
  return (
    <Box component="section" aria-label="Devices" sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="h2">Devices</Typography>
      {access.lan ? (
        <LetIn lan={access.lan} />
      ) : (
        <Typography variant="body2">
          Only this machine opens the studio. Start it with --lan, and phones and tablets on its network can
          be let in, each under the name of who uses it.
        </Typography>
      )}
      {(devices.data ?? []).length > 0 && (
        <Box component="ul" aria-label="Devices that are in" sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {devices.data?.map((device) => (
            <DeviceLine key={device.id} device={device} own={device.id === access.device?.id} />
          ))}
        </Box>
      )}
    </Box>
  );
}

function LetIn({ lan }: { lan: { trustUrl: string; url: string } }) {
  const [person, setPerson] = useState('');
  const [code, setCode] = useState<CodeResponse>();
  const make = useMakeCode();
  const letIn = (): void =>
    void make
      .mutateAsync(person)
      .then(setCode)
      .catch((error: unknown) => say(saidOfEntry(error)));
  return (
    <>
      <Box
        sx={{ display: 'grid', gap: 1, gridTemplateColumns: '1fr auto', alignItems: 'end', maxWidth: 480 }}
      >
        <TextLine label="Who uses it" value={person} onChange={setPerson} maxLength={80} />
        <Button variant="outlined" disabled={person.trim() === '' || make.isPending} onClick={letIn}>
          Let a device in
        </Button>
      </Box>
      {code && (
        <Box role="status" sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
          <QrCode text={`${lan.trustUrl}/?code=${code.code}`} />
          <Box sx={{ flex: '1 1 240px' }}>
            <Typography variant="pour" component="div" sx={{ fontSize: 34 }}>
              {code.code}
            </Typography>
            <Typography variant="body2">
              Good once, until {clockTime(code.until)}. Point the phone’s camera here, or open {lan.trustUrl}{' '}
              on it; that page says how to trust the studio, then leads to {lan.url}.
            </Typography>
          </Box>
        </Box>
      )}
    </>
  );
}

/** An address as a square that a camera reads. */
function QrCode({ text }: { text: string }) {
  const [image, setImage] = useState<string>();
  useEffect(() => {
    void import('qrcode').then(({ toDataURL }) => toDataURL(text, { margin: 4, width: 220 })).then(setImage);
  }, [text]);
  return image ? (
    <img src={image} width={220} height={220} alt="The address and the code, for a camera" />
  ) : null;
}

function DeviceLine({ device, own }: { device: PairedDevice; own: boolean }) {
  const [asked, setAsked] = useState(false);
  const revoke = useRevoke();
  const away = (): void =>
    void revoke.mutateAsync(device.id).catch((error: unknown) => say(saidOfEntry(error)));
  return (
    <Box component="li" sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', py: 0.5 }}>
      <Typography sx={{ flex: '1 1 240px' }}>
        <strong>{device.person}</strong>
        {device.label && `, ${device.label}`}, in since {dayOf(device.pairedAt)}
        {own && ', this one'}
      </Typography>
      {asked ? (
        <>
          <Button variant="contained" disabled={revoke.isPending} onClick={away}>
            Send {device.person}’s device away
          </Button>
          <Button onClick={() => setAsked(false)}>Leave it</Button>
        </>
      ) : (
        <Button aria-label={`Send away: ${device.person}`} onClick={() => setAsked(true)}>
          Send away …
        </Button>
      )}
    </Box>
  );
}

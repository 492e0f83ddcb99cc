import { useMemo } from 'react';
import QRCode from 'qrcode';

/** An address as squares that stay sharp at any size of paper. */
export function QrSquare({ address, className }: { address: string; className: string | undefined }) {
  const { size, path } = useMemo(() => {
    const { size: side, data } = QRCode.create(address, { errorCorrectionLevel: 'M' }).modules;
    const dark = Array.from(data, (on, i) => (on ? `M${i % side} ${Math.floor(i / side)}h1v1h-1z` : '')).join('');
    return { size: side, path: dark };
  }, [address]);
  return (
    <svg className={className} viewBox={`0 0 ${size} ${size}`} role="img" aria-label={`QR code of ${address}`}>
      <path d={path} fill="#000" shapeRendering="crispEdges" />
    </svg>
  );
}

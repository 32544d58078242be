import { useMemo } from "react";
import { encode } from "uqr";

/** A URL as a QR code: black on white, so that every camera can read it. */
export function QrCode({ address, label }: { address: string; label: string }) {
  const path = useMemo(() => {
    const code = encode(address, { border: 3, ecc: "M" });
    const rows = code.data.flatMap((row, y) => row.map((dark, x) => (dark ? `M${x} ${y}h1v1h-1z` : "")));
    return { size: code.size, d: rows.join("") };
  }, [address]);
  return (
    <svg viewBox={`0 0 ${path.size} ${path.size}`} role="img" aria-label={label} shapeRendering="crispEdges">
      <title>{label}</title>
      <rect width={path.size} height={path.size} fill="#fff" />
      <path d={path.d} fill="#000" />
    </svg>
  );
}

import { kindPaths, ptPerMm, type DrawnLabel } from '#core/pack';

/** A label exactly as it is printed: the same list of texts and rectangles that the PDF draws. */
export function LabelDrawing({ label, width = 380 }: { label: DrawnLabel; width?: number | string }) {
  const text = label.items.flatMap((i) => (i.type === 'text' ? [i.text] : [])).join(' ');
  return (
    <svg
      width={width}
      viewBox={`0 0 ${label.widthMm} ${label.heightMm}`}
      role="img"
      aria-label={`Label: ${text}`}
      style={{ background: '#fff', border: '1px solid #b9b2a0', borderRadius: 6, display: 'block', maxWidth: '100%' }}
    >
      {label.items.map((item, i) => {
        if (item.type === 'rect') return <rect key={i} x={item.x} y={item.y} width={item.w + 0.01} height={item.h + 0.01} fill="#000" />;
        if (item.type === 'mark')
          return (
            <path key={i} d={kindPaths[item.kind]} transform={`translate(${item.x} ${item.y}) scale(${item.size / 20})`} fill="#000" />
          );
        return (
          <text
            key={i}
            x={item.x}
            y={item.y}
            fontSize={item.sizePt / ptPerMm}
            fontWeight={item.weight === 'bold' ? 700 : 400}
            style={{ fontFamily: 'var(--text)', fontKerning: 'none', fontFeatureSettings: "'kern' 0, 'liga' 0", whiteSpace: 'pre' }}
            fill="#000"
          >
            {item.text}
          </text>
        );
      })}
    </svg>
  );
}

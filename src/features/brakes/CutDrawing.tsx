import Box from '@mui/material/Box';
import type { CutList } from '@/core/cables/cutList';
import { CABLE_WORDS } from '@/core/cables/kinds';
import type { CablePiece } from '@/core/cables/lengths';
import type { StockItem } from '@/model/stock/item';

/** The longest that is drawn across the whole width. */
const widest = (list: CutList, stock: readonly StockItem[]) =>
  Math.max(1, ...list.cuts.map(({ stockId }) => stock.find(({ id }) => id === stockId)?.cable?.lengthMm ?? 1));

/** Each length as a bar to scale, its pieces in the order in which they are cut, and what is left. */
export function CutDrawing({
  list,
  pieces,
  stock,
}: {
  list: CutList;
  pieces: readonly CablePiece[];
  stock: readonly StockItem[];
}) {
  const scale = widest(list, stock);
  const pieceOf = new Map(pieces.map((piece) => [piece.id, piece]));
  const order = list.cuts.flatMap(({ pieceIds }) => pieceIds);
  return (
    <Box component="ol" aria-label="Cuts" sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 1.5 }}>
      {list.cuts.map(({ stockId, pieceIds, restMm }, i) => {
        const item = stock.find(({ id }) => id === stockId);
        const lengthMm = item?.cable?.lengthMm ?? 0;
        const lettered = pieceIds.map((id) => ({
          piece: pieceOf.get(id)!,
          mark: String.fromCharCode(65 + order.indexOf(id)),
        }));
        return (
          <Box component="li" key={`${stockId} ${i}`}>
            <Box sx={{ fontSize: '0.95rem' }}>
              <b>{item?.label}</b>
              {item?.cable && `, ${CABLE_WORDS[item.cable.kind]}, ${lengthMm} mm`}
            </Box>
            <Box
              aria-hidden
              sx={{ display: 'flex', height: 26, mt: 0.5, width: `${(lengthMm / scale) * 100}%`, minWidth: 60 }}
            >
              {lettered.map(({ piece, mark }) => (
                <Box
                  key={piece.id}
                  sx={{
                    width: `${(piece.lengthMm / lengthMm) * 100}%`,
                    border: '1.5px solid',
                    borderColor: 'text.primary',
                    mr: '-1.5px',
                    display: 'grid',
                    placeItems: 'center',
                    fontWeight: 680,
                    fontSize: '0.9rem',
                  }}
                >
                  {mark}
                </Box>
              ))}
              <Box sx={{ flex: 1, border: '1.5px dashed', borderColor: 'text.secondary' }} />
            </Box>
            <Box sx={{ fontSize: '0.94rem', mt: 0.5 }}>
              {lettered.map(({ piece, mark }) => (
                <Box key={piece.id}>
                  <b>{mark}</b> {piece.label}, {piece.lengthMm} mm
                </Box>
              ))}
              <Box sx={{ color: 'text.secondary' }}>
                {Math.round(restMm)} mm are left{restMm < 300 ? ', too short to keep' : ''}.
              </Box>
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}

import { lazy, Suspense, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useTheme } from '@mui/material/styles';
import { Link, Navigate, useParams } from 'react-router';
import { useShelf } from '../studio/queries';
import { newId } from '../parts/newId';
import { Waiting } from '../parts/Waiting';
import { Tick } from '../parts/Tick';
import { ShelfList } from './ShelfList';

const DyeEditor = lazy(async () => ({ default: (await import('./DyeEditor')).DyeEditor }));
const BaseEditor = lazy(async () => ({ default: (await import('./BaseEditor')).BaseEditor }));
const PotEditor = lazy(async () => ({ default: (await import('./PotEditor')).PotEditor }));
const StockEditor = lazy(async () => ({ default: (await import('./StockEditor')).StockEditor }));
const ToolEditor = lazy(async () => ({ default: (await import('./ToolEditor')).ToolEditor }));
const MakeJar = lazy(async () => ({ default: (await import('./MakeJar')).MakeJar }));
const PatternEditor = lazy(async () => ({ default: (await import('./PatternEditor')).PatternEditor }));
const StudioEditor = lazy(async () => ({ default: (await import('./StudioEditor')).StudioEditor }));

const BOARDS = [
  { board: 'dyes', word: 'Dyes', one: 'dye' },
  { board: 'stocks', word: 'Jars', one: 'jar' },
  { board: 'bases', word: 'Bases', one: 'base' },
  { board: 'pots', word: 'Pots', one: 'pot' },
  { board: 'tools', word: 'Tools', one: 'tool' },
  { board: 'patterns', word: 'Patterns', one: 'pattern' },
  { board: 'studio', word: 'Studio', one: 'studio' },
] as const;

/** What the studio has: a list on the left, the thing itself open beside it; on a phone one after the other. */
export function ShelfScreen() {
  const { resource = 'dyes', id } = useParams();
  const shelf = useShelf();
  const wide = useMediaQuery(useTheme().breakpoints.up('md'));
  const [showRetired, setShowRetired] = useState(false);
  const board = BOARDS.find((candidate) => candidate.board === resource);
  if (!board) return <Navigate to="/shelf/dyes" replace />;
  if (!shelf.data) return <Waiting error={shelf.error} />;
  const listed = board.board === 'studio' ? null : board.board;
  const showList = listed !== null && (wide || id === undefined);
  return (
    <Box sx={{ pb: 3 }}>
      <Box sx={{ px: 2, pt: 1.5, display: 'flex', gap: 3, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography variant="h1">Shelf</Typography>
        <Tabs value={board.board} variant="scrollable" scrollButtons={false} aria-label="Boards of the shelf">
          {BOARDS.map((each) => (
            <Tab
              key={each.board}
              value={each.board}
              label={each.word}
              component={Link}
              to={`/shelf/${each.board}`}
            />
          ))}
        </Tabs>
      </Box>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: {
            xs: 'minmax(0, 1fr)',
            md: showList ? 'minmax(320px, 1fr) 1.35fr' : 'minmax(0, 1fr)',
          },
          alignItems: 'start',
          borderTop: 1,
          borderColor: 'divider',
        }}
      >
        {showList && (
          <Box sx={{ borderRight: { md: 1 }, borderColor: { md: 'divider' }, minHeight: { md: '70vh' } }}>
            <Box sx={{ display: 'flex', gap: 2, px: 2, py: 1, alignItems: 'center', flexWrap: 'wrap' }}>
              {board.board !== 'patterns' && (
                <Button component={Link} to={`/shelf/${board.board}/new`} variant="contained">
                  New {board.one}
                </Button>
              )}
              {board.board !== 'patterns' && board.board !== 'tools' && (
                <Button component={Link} to="/shelf/start">
                  From a list
                </Button>
              )}
              <Tick label="Show retired" checked={showRetired} onChange={(on) => setShowRetired(on)} />
            </Box>
            <ShelfList board={listed} shelf={shelf.data} openId={id} showRetired={showRetired} />
          </Box>
        )}
        <Box sx={{ p: 2 }}>
          {!wide && id !== undefined && (
            <Button component={Link} to={`/shelf/${board.board}`} sx={{ mb: 1 }}>
              ← {board.word}
            </Button>
          )}
          <Suspense fallback={<Waiting />}>
            <Open board={board.board} id={id} />
          </Suspense>
        </Box>
      </Box>
    </Box>
  );
}

/** The editor of whatever is open. */
function Open({ board, id }: { board: (typeof BOARDS)[number]['board']; id: string | undefined }) {
  const shelf = useShelf().data;
  const [fresh] = useState(newId);
  if (!shelf) return null;
  if (board === 'studio') return <StudioEditor studio={shelf.studio} />;
  if (id === undefined)
    return (
      <Typography color="text.secondary" sx={{ display: { xs: 'none', md: 'block' } }}>
        Choose one to open it here.
      </Typography>
    );
  const isNew = id === 'new';
  const gone = <Typography>Nothing on this board has that id.</Typography>;
  if (board === 'dyes') {
    const dye = shelf.dyes.find((item) => item.id === id);
    return dye || isNew ? <DyeEditor key={id} id={isNew ? fresh : id} dye={dye} shelf={shelf} /> : gone;
  }
  if (board === 'stocks') {
    const stock = shelf.stocks.find((item) => item.id === id);
    if (isNew) return <MakeJar id={fresh} shelf={shelf} />;
    return stock ? <StockEditor key={id} stock={stock} shelf={shelf} /> : gone;
  }
  if (board === 'bases') {
    const base = shelf.bases.find((item) => item.id === id);
    return base || isNew ? <BaseEditor key={id} id={isNew ? fresh : id} base={base} /> : gone;
  }
  if (board === 'tools') {
    const tool = shelf.tools.find((item) => item.id === id);
    return tool || isNew ? <ToolEditor key={id} id={isNew ? fresh : id} tool={tool} /> : gone;
  }
  if (board === 'patterns') {
    const pattern = shelf.patterns.find((item) => item.id === id);
    return pattern ? <PatternEditor key={id} pattern={pattern} /> : gone;
  }
  const pot = shelf.pots.find((item) => item.id === id);
  return pot || isNew ? <PotEditor key={id} id={isNew ? fresh : id} pot={pot} /> : gone;
}

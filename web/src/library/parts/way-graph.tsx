import { Trans } from '@lingui/react/macro';
import '@xyflow/react/dist/style.css';
import Box from '@mui/material/Box';
import type { Library, Movement } from '@leiter/core';
import { Background, Controls, Handle, MarkerType, Position, ReactFlow, type Edge, type Node, type NodeProps } from '@xyflow/react';
import ELK from 'elkjs/lib/elk.bundled.js';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { Figure } from '../../shared/figure';
import { palette } from '../../shared/palette';
import { markWords } from '../../shared/words';
import { wayOf, type Way } from './way';

type StepNode = Node<{ readonly movement: Movement | undefined; readonly slug: string; readonly isHere: boolean }, 'step'>;

const nodeSize = { width: 158, height: 64 } as const;
const elk = new ELK();

/** Puts the steps of a way into layers from left to right, so that few links cross. */
async function laidOut(way: Way, library: Library, here: string): Promise<readonly StepNode[]> {
  const placed = await elk.layout({
    id: 'way',
    layoutOptions: {
      'elk.algorithm': 'layered',
      'elk.direction': 'RIGHT',
      'elk.layered.spacing.nodeNodeBetweenLayers': '54',
      'elk.spacing.nodeNode': '12',
    },
    children: way.steps.map(({ slug }) => ({ id: slug, ...nodeSize })),
    edges: way.links.map(({ from, to }) => ({ id: `${from} ${to}`, sources: [from], targets: [to] })),
  });
  return (placed.children ?? []).map(({ id, x = 0, y = 0 }) => ({
    id,
    type: 'step' as const,
    position: { x, y },
    data: { movement: library.get(id), slug: id, isHere: id === here },
  }));
}

function Step({ data: { movement, slug, isHere } }: NodeProps<StepNode>) {
  return (
    <Box
      sx={{
        ...nodeSize,
        // the picture is moved by its ground, a step is a link
        pointerEvents: 'all',
        display: 'flex',
        alignItems: 'center',
        gap: 0.75,
        px: 0.75,
        border: `${isHere ? '2px' : '1px'} solid ${isHere ? palette.primary : palette.edge}`,
        borderRadius: '6px',
        backgroundColor: palette.white,
        fontSize: 13,
        lineHeight: 1.2,
      }}
    >
      <Handle type="target" position={Position.Left} style={{ visibility: 'hidden' }} />
      <Figure movement={movement} size={52} behind={palette.white} />
      <Box sx={{ minWidth: 0, overflow: 'hidden' }}>
        {isHere ? <strong>{movement?.name}</strong> : <Link to={`/library/${slug}`}>{movement?.name ?? slug}</Link>}
      </Box>
      <Handle type="source" position={Position.Right} style={{ visibility: 'hidden' }} />
    </Box>
  );
}

const nodeTypes = { step: Step };

/** What has to be there first, and where a movement leads: a picture that is walked by its links. */
export function WayGraph({ movement, library }: { readonly movement: Movement; readonly library: Library }) {
  const [drawn, setDrawn] = useState<{
    readonly slug: string;
    readonly nodes: readonly StepNode[];
    readonly edges: readonly Edge[];
  } | null>(null);
  useEffect(() => {
    const way = wayOf(movement, library);
    const edges = way.links.map(({ from, to, mark }): Edge => {
      const isNear = from === movement.slug || to === movement.slug;
      return {
        id: `${from} ${to}`,
        source: from,
        target: to,
        // that it has to stand alone is the rule: only another mark is worth a word
        ...(isNear && mark && mark !== 'alone' ? { label: markWords[mark] } : {}),
        style: { stroke: isNear ? palette.ink : palette.edge, strokeWidth: isNear ? 2 : 1 },
        labelStyle: { fontSize: 12, fill: palette.ink },
        labelBgStyle: { fill: palette.paper },
        markerEnd: { type: MarkerType.ArrowClosed, color: isNear ? palette.ink : palette.edge },
      };
    });
    let isWanted = true;
    void laidOut(way, library, movement.slug).then((nodes) => {
      if (isWanted) setDrawn({ slug: movement.slug, nodes, edges });
    });
    return () => {
      isWanted = false;
    };
  }, [movement, library]);
  if (!drawn)
    return (
      <Box sx={{ height: 320, color: palette.soft }}>
        <Trans>Drawing the way …</Trans>
      </Box>
    );
  const lowest = Math.max(...drawn.nodes.map(({ position }) => position.y)) + nodeSize.height;
  return (
    <Box sx={{ height: Math.min(430, Math.max(150, lowest + 60)), border: `1px solid ${palette.line}`, borderRadius: '6px' }}>
      <ReactFlow
        key={drawn.slug}
        nodes={[...drawn.nodes]}
        edges={[...drawn.edges]}
        nodeTypes={nodeTypes}
        nodesDraggable={false}
        nodesConnectable={false}
        nodesFocusable={false}
        edgesFocusable={false}
        elementsSelectable={false}
        preventScrolling={false}
        fitView
        fitViewOptions={{ maxZoom: 1, padding: 0.06 }}
        minZoom={0.3}
        maxZoom={1.5}
        proOptions={{ hideAttribution: true }}
      >
        <Background color={palette.line} />
        <Controls showInteractive={false} />
      </ReactFlow>
    </Box>
  );
}

import { Box, chakra, Flex } from '@chakra-ui/react';
import { memo } from 'react';
import { Link } from 'react-router';
import type { Shown } from '../../api/client';
import type { Along } from '../../trail/Trail';
import { Glyph } from '../../ui/Glyph';
import { later } from '../../ui/later';
import { SignOut } from '../SignOut';

const RecentPlaces = later(async () => (await import('./RecentPlaces')).RecentPlaces, <Box minW="34px" />);

const Way = chakra('button', {
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    gap: '6px',
    minH: '44px',
    px: '10px',
    color: 'white',
    fontWeight: '600',
    maxW: '260px',
    cursor: 'pointer',
    _hover: { bg: 'onRail.pointed' },
    _disabled: { color: 'onRail.shut', cursor: 'default', _hover: { bg: 'transparent' } },
  },
});

const CallUpList = later(async () => (await import('../callups/CallUpList')).CallUpList, <Box minW="44px" />);

interface StripProps {
  shown: Shown;
  project: string;
  builder: boolean;
  onRecord: (() => void) | undefined; // nothing while it is recorded
  onGo: (to: Along, n?: number) => void;
}

/** The small fixed strip: back, forward, home, and who is here. */
export const Strip = memo(function Strip({ shown, project, builder, onRecord, onGo }: StripProps) {
  const start = shown.home === shown.view.title;
  const logo = shown.view.style?.logo;
  return (
    <Flex as="nav" aria-label="Trail" bg="rail" color="white" align="center" px="8px" gap="2px" flexShrink={0}>
      {logo && (
        <Box asChild h="28px" w="auto" mx="6px">
          <img src={`/api/project-pictures/${project}/${logo.digest}`} alt={logo.words} />
        </Box>
      )}
      <Way
        onClick={() => onGo('back')}
        disabled={!shown.back && start}
        aria-label={shown.back ? `Back to ${shown.back}` : 'Back'}
      >
        <Glyph name="back" size={17} />
        <Box truncate>{shown.back ?? 'Back'}</Box>
      </Way>
      {!shown.display && <RecentPlaces shown={shown} project={project} onGo={(n) => onGo('back', n)} />}
      {shown.forward && (
        <Way onClick={() => onGo('forward')} aria-label={`Forward to ${shown.forward}`}>
          <Box truncate hideBelow="md">
            {shown.forward}
          </Box>
          <Glyph name="forward" size={17} />
        </Way>
      )}
      <Way onClick={() => onGo('home')} disabled={start} aria-label={`Home: ${shown.home}`}>
        <Glyph name="home" size={17} />
        <Box truncate hideBelow="md">
          {shown.home}
        </Box>
      </Way>
      <Box flex="1" />
      {builder && onRecord && (
        <Box
          as="button"
          hideBelow="md"
          fontSize="note"
          px="10px"
          textDecoration="underline"
          cursor="pointer"
          title="What you do is kept as a walk, to be gone again"
          onClick={onRecord}
        >
          record
        </Box>
      )}
      {builder && (
        <Box hideBelow="md" fontSize="note" px="10px" textDecoration="underline" asChild>
          <Link to={`/build/${project}/screen/${shown.view.screen}`}>build this screen</Link>
        </Box>
      )}
      {shown.callUps && <CallUpList project={project} language={shown.view.language ?? 'en'} />}
      {shown.display ? null : <Whom shown={shown} />}
    </Flex>
  );
});

/** Who is here, with the way to their own page and out. */
function Whom({ shown }: { shown: Shown }) {
  return (
    <>
      <Box fontSize="note" textAlign="right" lineHeight="1.25" px="4px">
        <Box asChild fontWeight="700" textDecoration="underline" textUnderlineOffset="3px">
          <Link to="/me" title="Your own page">
            {shown.user}
          </Link>
        </Box>
        <Box as="span" hideBelow="md" color="onRail.soft">
          {' '}
          · {shown.roles.join(', ')}
        </Box>
      </Box>
      <SignOut dark />
    </>
  );
}

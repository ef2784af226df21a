<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use OpenSeam\Core\Near;
use OpenSeam\Core\Stitch\StitchKind;

/**
 * Whether a machine with a foot can sew a stitch: mount, swing, straight-only,
 * groove for dense stitches, feed drop for buttons, sole for sticky cloth, and
 * the needle's room in foot and plate. Rules: common practice, no source.
 */
final class Fit
{
    /** @return list<Refusal> of the machine alone, whatever the foot */
    public static function ofMachine(Machine $m, Setup $setup): array
    {
        $s = $setup->stitch;
        $kind = $s->kind;
        if (! $m->has($kind->id)) {
            return [new Refusal('no-stitch', 'stitch', $m->drive === Drive::StraightOnly && $kind->swings()
                ? "{$m->name} sews straight only; “{$kind->title}” swings."
                : "{$m->name} does not have “{$kind->title}”.", false)];
        }
        $found = [];
        if ($s->widthMm > $m->swing->widestMm + Near::DUST) {
            $found[] = new Refusal('machine-swing', 'width_mm', sprintf('%s swings at most %g mm; %g mm is asked.', $m->name, $m->swing->widestMm, $s->widthMm), false);
        }
        if (! $kind->staysInPlace() && ($s->lengthMm > $m->feed->longestMm + Near::DUST || $s->lengthMm < $m->feed->shortestMm - Near::DUST)) {
            $found[] = new Refusal('machine-length', 'length_mm', sprintf('%s sews stitches of %g to %g mm; %g mm is asked.', $m->name, $m->feed->shortestMm, $m->feed->longestMm, $s->lengthMm), false);
        }
        if ($m->swing->fixed !== [] && $kind->plainZigzag && ! $m->swing->hasFixed($s->widthMm, $s->lengthMm)) {
            $near = DialTranslator::nearestFixed($m, $s->widthMm, $s->lengthMm);
            $found[] = new Refusal('fixed', 'width_mm', sprintf('%s has fixed zigzags only; the nearest is %g wide × %g long (“%s”).', $m->name, $near['width_mm'], $near['length_mm'], $near['name']), false);
        }
        if ($s->positionMm < $m->swing->positionsMm[0] - Near::DUST || $s->positionMm > $m->swing->positionsMm[count($m->swing->positionsMm) - 1] + Near::DUST) {
            $found[] = new Refusal('machine-position', 'needle_position_mm', sprintf('%s moves its needle from %g to %g mm; %g mm is asked.', $m->name, $m->swing->positionsMm[0], $m->swing->positionsMm[count($m->swing->positionsMm) - 1], $s->positionMm), false);
        }
        if ($kind->feedDropped && $m->feed->drop === 'none') {
            $found[] = new Refusal('feed-drop', 'stitch', "{$m->name} can neither drop nor cover its feed; a button needs that.", false);
        }
        if (self::isOwnButtonhole($kind) && ! $m->buttonhole->isThere()) {
            $found[] = new Refusal('no-buttonhole', 'stitch', "{$m->name} has no buttonhole of its own.", false);
        }
        if (self::isOwnButtonhole($kind) && $m->buttonhole->isThere() && $setup->rowMm !== null && $setup->rowMm > $m->buttonhole->longestMm + Near::DUST) {
            $found[] = new Refusal('buttonhole-length', 'row_mm', sprintf('%s sews buttonholes of at most %g mm; %g mm is asked.', $m->name, $m->buttonhole->longestMm, $setup->rowMm), false);
        }
        $slot = Clearance::of($m->swing->slotHalfMm, $m->swing->slotHalfMm, $s->widthMm, $s->positionMm, $setup->needleSize);
        if ($slot->verdict() === 'strike') {
            $found[] = new Refusal('plate', 'width_mm', sprintf('The needle strikes the plate of %s: %.1f mm past its slot of %g mm.', $m->name, -$slot->smallestMm(), $m->swing->slotHalfMm * 2), true);
        }

        return $found;
    }

    /** @return list<Refusal> of the foot on this machine; empty when it fits */
    public static function ofFoot(Machine $m, Foot $f, Setup $setup): array
    {
        $s = $setup->stitch;
        $kind = $s->kind;
        $found = [];
        if ($f->mount !== $m->mount) {
            $mounts = FootBook::standard()->mounts();
            $found[] = new Refusal('mount', 'foot', "“{$f->name}” is {$mounts[$f->mount]}; {$m->name} takes {$mounts[$m->mount]}.", true);
        }
        if (! self::isMadeFor($f, $kind, $m)) {
            $found[] = new Refusal('wrong-foot', 'foot', "“{$f->name}” is not made for “{$kind->title}”: ".$f->kind->about.'.', false);
        }
        if ($f->kind->straightOnly && $s->widthMm > 0) {
            $found[] = new Refusal('straight-only', 'width_mm', "“{$f->name}” takes straight stitches only; any swing strikes it.", true);
        } elseif ($s->widthMm > $f->largestSwingMm + Near::DUST) {
            $found[] = new Refusal('foot-swing', 'width_mm', sprintf('“%s” takes a swing of at most %g mm; %g mm is asked.', $f->name, $f->largestSwingMm, $s->widthMm), true);
        }
        if ($s->widthMm < $f->smallestSwingMm - Near::DUST) {
            $found[] = new Refusal('foot-least-swing', 'width_mm', sprintf('“%s” takes a swing of at least %g mm; at %g mm the needle strikes its finger.', $f->name, $f->smallestSwingMm, $s->widthMm), true);
        }
        if ($f->centreOnly && abs($s->positionMm) > Near::DUST) {
            $found[] = new Refusal('centre-only', 'needle_position_mm', sprintf('“%s” allows the centre needle only; %g mm is asked.', $f->name, $s->positionMm), true);
        }
        if ($kind->dense && ! $f->grooved) {
            $found[] = new Refusal('groove', 'foot', "“{$kind->title}” is dense: it jams under the flat sole of “{$f->name}”; a grooved one lets it through.", false);
        }
        if ($setup->stickyCloth && ! $f->kind->sticky) {
            $found[] = new Refusal('sole', 'foot', "The smooth sole of “{$f->name}” drags on sticky cloth and the layers creep.", false);
        }
        $clearance = Clearance::inFoot($f, $s, $setup->needleSize);
        if ($clearance->verdict() === 'strike') {
            $found[] = new Refusal('strike', 'width_mm', sprintf('The needle strikes “%s”: %.1f mm past its opening on the %s.', $f->name, -$clearance->smallestMm(), $clearance->leftMm < $clearance->rightMm ? 'left' : 'right'), true);
        }

        return $found;
    }

    /** The foot's kind sews this stitch; a buttonhole foot goes with the machine's own way. */
    public static function isMadeFor(Foot $f, StitchKind $kind, Machine $m): bool
    {
        if (self::isOwnButtonhole($kind) && $m->buttonhole->isThere()) {
            return $f->kind->id === $m->buttonhole->way->foot();
        }

        return in_array($f->kind->id, $kind->feet, true);
    }

    /** The machine's own buttonhole; one by hand asks neither for it nor for its foot. */
    private static function isOwnButtonhole(StitchKind $kind): bool
    {
        return $kind->generator === 'buttonhole' && $kind->madeOf === null;
    }
}

"""Traces every chosen icon in every condition and prints the table."""

import json
import os
import sys
import time
from concurrent.futures import ProcessPoolExecutor
from dataclasses import asdict
from pathlib import Path

import numpy as np

from bench.quality import chain, measure
from bench.quality.conditions import CONDITIONS, picture_of, recipe_of
from bench.quality.measure import Score
from bench.quality.truth import Truth
from sketchloom.evaluate.pipeline import Pipeline

ICONS = Path(__file__).with_name("icons.json")
LIMITS = {  # mean px, 95th percentile px, share of pictures with exact colours, segments / truth
    "clean 512": (0.06, 0.20, 0.95, 1.2), "small 200": (0.10, 0.35, 0.90, 1.2), "alpha 512": (0.06, 0.20, 0.95, 1.2),
    "jpeg 400 q40": (0.18, 0.50, 0.85, 1.3), "scan 900": (0.09, 0.25, 1.0, 1.3),
}


def icons() -> list[dict]:
    return json.loads(ICONS.read_text())


def score(icon: dict, condition, seed: int, with_chain: bool = False):
    """Our score of an icon, and the chain's mean, 95th percentile and segments ratio."""
    truth = Truth.of(icon["body"], icon["size"], condition.size_px, condition.ground)
    picture = picture_of(icon, condition, seed)
    begin = time.perf_counter()
    work = Pipeline().evaluate(picture, recipe_of(condition))
    seconds = time.perf_counter() - begin
    lines, segments, corners = measure.map_lines(work, condition)
    mean, p95 = measure.both_ways(lines, truth.boundary)
    planar = work.traced.planar
    open_ends = work.traced.curves.controls[work.traced.curves.starts[:-1], 0] / measure.fineness(work)
    junctions = open_ends[~planar.closed & (planar.node_degree[planar.start_node] > 2)]
    found, invented = measure.corner_score(corners, truth.corners, junctions)
    tone = work.reading == "tone"
    missing, extra = (0, 0) if tone else measure.colour_score(work, truth, condition.ground)
    ours = Score(mean, p95, _wrong(work, truth), missing, extra, segments / max(truth.segments, 1),
                 measure.tiny_pieces(work), found, invented, seconds)
    theirs = None
    if with_chain:
        count = 2 if tone else len([1 for s in truth.colours.values() if s >= 0.003]) + 1
        lines = chain.traced(picture, count, tone)
        inside = [ln for ln in lines if _off_frame(ln, picture)]
        theirs = (
            *measure.both_ways(inside, truth.boundary),
            sum(len(ln) - 1 for ln in inside) / 2 / max(truth.segments, 1),
        )
    return ours, theirs


def _off_frame(line, picture):
    """Lines that run along the picture's frame are no outline of anything."""
    edge = (line < 1).any(1) | (line > np.array([picture.width, picture.height]) - 1).any(1)
    return edge.mean() < 0.9


def _wrong(work, truth: Truth) -> float:
    """Share of the page whose colour is none of the truth's there, by pixel centres."""
    import shapely

    entries = [e.hex for e in work.segmentation.entries]
    labels = measure.labels_of(work)
    height, width = labels.shape
    y, x = np.mgrid[0:height:3, 0:width:3]
    at = shapely.points(x + 0.5, y + 0.5)
    wanted = np.full(x.shape, -1)
    colours = list(truth.regions)
    for number, colour in enumerate(colours):
        region = truth.regions[colour]
        shapely.prepare(region)
        wanted[shapely.contains(region, at)] = number
    from sketchloom.core.base.colour import ciede2000, from_hex, srgb_to_lab

    near = shapely.dwithin(truth.boundary, at, 1.0)
    ours = labels[::3, ::3]
    wrong = np.zeros(x.shape, bool)
    for number, colour in enumerate(colours):
        here = wanted == number
        if not here.any() or work.reading == "tone":
            continue
        good = np.array([ciede2000(srgb_to_lab(np.array(colour, float)), srgb_to_lab(from_hex(h))) < 5 for h in entries]
                        + [False] * 2)
        wrong |= here & ~good[np.minimum(ours, len(good) - 1)]
    return float((wrong & ~near).mean())


def _job(words):
    number, condition_number, with_chain = words
    icon, condition = icons()[number], CONDITIONS[condition_number]
    try:
        return number, condition_number, score(icon, condition, number, with_chain)
    except Exception as error:
        return number, condition_number, f"{type(error).__name__}: {error}"


def run(aside: bool | None = None, with_chain: bool = False, conditions=None, every: int = 1):
    """All scores: ``aside`` True for the third set aside, False for the rest, None for all."""
    every_icon = icons()
    jobs = [(n, c, with_chain) for c, condition in enumerate(CONDITIONS) if conditions is None or c in conditions
            for n, icon in enumerate(every_icon)
            if icon["kind"] in condition.kinds and (aside is None or icon["aside"] == aside) and n // 3 % every == 0]
    with ProcessPoolExecutor(os.cpu_count()) as pool:
        return list(pool.map(_job, jobs, chunksize=4))


def show(results, worst: int = 10) -> bool:
    """Print the tables; True when every limit is kept."""
    out, all_good = sys.stdout, True
    names = [icon["name"] for icon in icons()]
    out.write(f"{'condition':<14}{'mean':>7}{'95 %':>7}{'exact':>7}{'segm':>7}{'tiny':>6}{'wrong':>9}{'corners':>9}"
              f"{'inv.':>6}{'s':>7}   chain: mean, 95 %, segm\n")
    for c, condition in enumerate(CONDITIONS):
        rows = [(n, r) for n, k, r in results if k == c]
        for n, r in rows:
            if isinstance(r, str):
                out.write(f"  failed: {names[n]} {r}\n")
        scores = [(n, *r) for n, r in rows if not isinstance(r, str)]
        if not scores:
            continue
        ours = [s for _, s, _ in scores]
        def middle(name):
            return float(np.median([getattr(s, name) for s in ours]))  # noqa: B023
        exact = np.mean([s.colours_exact for s in ours])
        theirs = [t for _, _, t in scores if t is not None]
        other = "".join(f"{np.median([t[i] for t in theirs]):8.3f}" for i in range(3)) if theirs else ""
        mean, p95, share, ratio = LIMITS[condition.name]
        good = (middle("mean_px") <= mean and middle("p95_px") <= p95 and exact >= share
                and middle("segments_ratio") <= ratio and sum(s.tiny for s in ours) == 0)
        all_good &= bool(good)
        out.write(
            f"{condition.name:<14}{middle('mean_px'):7.3f}{middle('p95_px'):7.3f}{exact:7.2f}"
            f"{middle('segments_ratio'):7.2f}{sum(s.tiny for s in ours):6d}"
            f"{np.mean([s.wrong_share for s in ours]):9.5f}"
            f"{np.mean([s.corners_found for s in ours]):9.2f}{np.mean([s.corners_invented for s in ours]):6.1f}"
            f"{middle('seconds'):7.3f}   {other}  {'ok' if good else 'OVER'}\n"
        )
    ranked = sorted(
        ((r[0].mean_px, names[n], CONDITIONS[c].name, r[0]) for n, c, r in results if not isinstance(r, str)),
        key=lambda row: -row[0],
    )
    out.write("the worst:\n" if worst else "")
    for mean, name, condition, s in ranked[:worst]:
        out.write(
            f"  {name:<32}{condition:<14} mean {mean:.3f}, 95 % {s.p95_px:.2f}, missing {s.missing}, extra {s.extra}, "
            f"segments {s.segments_ratio:.2f}\n"
        )
    out.flush()
    return all_good


def keep(results, path) -> None:
    """Write all scores as JSON, for comparing two runs."""
    names = [icon["name"] for icon in icons()]
    plain = [
        {
            "icon": names[n],
            "condition": CONDITIONS[c].name,
            **(asdict(r[0]) if not isinstance(r, str) else {"failed": r}),
        }
        for n, c, r in results
    ]
    Path(path).write_text(json.dumps(plain, indent=0))


def main(words) -> None:
    """``python -m bench.quality.run [numbers of conditions] [all | aside] [chain] [quick] [FILE.json]``."""
    picked = {int(w) for w in words if w.isdigit()} or None
    found = run(aside=True if "aside" in words else None if "all" in words else False, with_chain="chain" in words,
                conditions=picked, every=4 if "quick" in words else 1)
    show(found)
    for word in words:
        if word.endswith(".json"):
            keep(found, word)


if __name__ == "__main__":
    main(sys.argv[1:])

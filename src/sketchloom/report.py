"""The JSON report of a trace."""

import json
import resource

from sketchloom import __version__
from sketchloom.ways import sheets_on_each_other
from sketchloom.work import Work

_SOURCE_CODES = "source."


def report_of(work: Work, source_file: str, timings_s: dict) -> dict:
    """Plain data of a report; see docs/formats.md for its keys."""
    picture = work.picture
    entries = work.segmentation.entries
    return {
        "source": {
            "file": source_file,
            "width_px": picture.width,
            "height_px": picture.height,
            "dpi": picture.dpi,
            "mode": work.reading,
            "fitness": [
                {"code": f.code, "severity": f.severity, "message": f.message}
                for f in work.findings if f.code.startswith(_SOURCE_CODES)
            ],
        },
        "palette": [{"hex": e.hex, "share": round(share, 6)} for e, share in zip(entries, work.label_shares())],
        "cells": work.traced.planar.face_count,
        "layers": [
            {
                "name": layer.plan.name,
                "hex": layer.plan.hex,
                "pieces": layer.outline.pieces,
                "holes": layer.outline.holes,
                "segments": layer.outline.segments,
                "cut_length_mm": round(layer.cut_length_mm, 3),
                "area_mm2": round(layer.area_mm2, 3),
                "min_feature_mm": None if layer.min_feature_mm is None else round(layer.min_feature_mm, 3),
                "pen_mm": None if layer.outline.pen_px is None else round(layer.outline.pen_px * work.mm_per_px, 3),
            }
            for layer in work.layers
        ],
        "layering": {
            "way": work.recipe.layering, "overlap_mm": work.recipe.overlap_mm, "sheets": len(work.layers),
            "pieces": sum(layer.outline.pieces for layer in work.layers), "windows": sum(layer.outline.holes for layer in work.layers),
            "cut_length_mm": round(work.cut_length_mm, 3),
            "area_mm2": round(sum(layer.area_mm2 for layer in work.layers), 3),
            "weeding_cuts_mm": round(work.weeding_length_mm, 3),
            "thickest_sheets": None if work.draws_with_pens else sheets_on_each_other(work, work.depth, len(work.plans), work.recipe.layering),
        },
        "strokes": [
            {"width_mm": round(width, 3), "length_mm": round(length, 3)} for width, length in work.strokes_mm()
        ],
        "findings": [
            {
                "code": f.code, "severity": f.severity, "layer": f.layer, "message": f.message,
                "x_mm": None if f.x_px is None else round(f.x_px * work.mm_per_px, 3),
                "y_mm": None if f.y_px is None else round(f.y_px * work.mm_per_px, 3),
            }
            for f in work.findings
        ],
        "timings_s": {name: round(seconds, 4) for name, seconds in timings_s.items()},
        "peak_memory_mb": round(resource.getrusage(resource.RUSAGE_SELF).ru_maxrss / 1024, 1),
        "version": __version__,
    }


def to_bytes(report: dict) -> bytes:
    return (json.dumps(report, indent=2, ensure_ascii=False, allow_nan=False) + "\n").encode()

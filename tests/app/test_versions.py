"""Kept alternatives written side by side into one file, from the window."""

import xml.etree.ElementTree as ET

from PySide6.QtWidgets import QFileDialog

from app.driver import wait
from app.test_source_tools import recipe
from sketchloom.app.stages.numbers import RELEASE

SVG = "{http://www.w3.org/2000/svg}"


def test_the_work_and_its_alternatives_go_into_one_file(lighthouse, tmp_path, monkeypatch):
    session = lighthouse.session
    for way in ("stacked", "fitted"):
        session.change(recipe(lighthouse).kept_as(f"as {way}"), "")
        kept = recipe(lighthouse).alternatives[-1]
        assert kept.name == f"as {way}"
        session.change(recipe(lighthouse).with_edit(lighthouse.settled().plans[0].key, hex="#336699"), "")
    lighthouse.settled()
    target = tmp_path / "versions.svg"
    monkeypatch.setattr(QFileDialog, "getSaveFileName", lambda *_: (str(target), ""))
    lighthouse.window.show_stage(RELEASE)
    lighthouse.click("Versions", lighthouse.window.panels[RELEASE])
    assert not lighthouse.window.panels[RELEASE]._report.isEnabled()
    lighthouse.click("Write SVG", lighthouse.window.panels[RELEASE])
    wait(target.exists, 60, "the file")
    versions = ET.parse(target).getroot().findall(SVG + "g")
    assert [v.find(SVG + "title").text for v in versions] == [session.document.name, "as stacked", "as fitted"]
    assert all(len(v.findall(SVG + "g")) == len(lighthouse.work.layers) for v in versions)

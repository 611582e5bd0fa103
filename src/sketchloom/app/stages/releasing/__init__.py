"""Parts of the Release panel."""

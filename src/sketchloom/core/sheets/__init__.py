"""From layers to what is put into a machine: materials, machines, division, placing, routes, time and cost. All in
mm."""

"""General libraries as a measure, where they are installed: none of them is needed to run anything."""

import numpy as np


def strip_length(pieces, height: float, turns, seconds: float) -> float | None:
    """The length of a strip that a general strip-packing library finds; None where it is not installed."""
    try:
        import spyrrow
    except ImportError:
        return None
    items = [spyrrow.Item(str(n), list(p.exterior.coords)[:-1], 1, list(turns)) for n, p in enumerate(pieces)]
    wanted = spyrrow.StripPackingConfig(early_termination=False, total_computation_time=int(seconds), seed=1)
    return float(spyrrow.StripPackingInstance("pieces", height, items).solve(wanted).width)


def way_length(points, seconds: int) -> float | None:
    """The length of an open way from the first of some places that a general routing library finds; None where it is
    not installed."""
    try:
        from ortools.constraint_solver import pywrapcp, routing_enums_pb2
    except ImportError:
        return None
    points = np.asarray(points, float)
    count = len(points)
    far = np.hypot(*(points[:, None] - points[None]).transpose(2, 0, 1))
    # a last place that costs nothing: the way is open
    cost = np.pad(np.round(far * 1000).astype(int), ((0, 1), (0, 1)))
    manager = pywrapcp.RoutingIndexManager(count + 1, 1, [0], [count])
    model = pywrapcp.RoutingModel(manager)
    step = model.RegisterTransitCallback(
        lambda a, b: int(cost[manager.IndexToNode(a), manager.IndexToNode(b)]))
    model.SetArcCostEvaluatorOfAllVehicles(step)
    wanted = pywrapcp.DefaultRoutingSearchParameters()
    wanted.first_solution_strategy = routing_enums_pb2.FirstSolutionStrategy.PATH_CHEAPEST_ARC
    wanted.local_search_metaheuristic = routing_enums_pb2.LocalSearchMetaheuristic.GUIDED_LOCAL_SEARCH
    wanted.time_limit.FromSeconds(seconds)
    return model.SolveWithParameters(wanted).ObjectiveValue() / 1000
